CREATE TABLE `challenge` (
	`id` text PRIMARY KEY NOT NULL,
	`title` text NOT NULL,
	`kind` text NOT NULL,
	`drill_id` text NOT NULL,
	`step_id` text NOT NULL,
	`rules` text DEFAULT '' NOT NULL,
	`from_day` text NOT NULL,
	`until_day` text NOT NULL,
	`attempts` integer,
	`goal` integer,
	`ranked` integer DEFAULT false NOT NULL,
	`created_at_ms` integer NOT NULL,
	`removed_at_ms` integer,
	`by` text
);
--> statement-breakpoint
CREATE TABLE `challenge_player` (
	`challenge_id` text NOT NULL,
	`player_id` text NOT NULL,
	`best` real,
	`level` real,
	`variance` real,
	PRIMARY KEY(`challenge_id`, `player_id`),
	FOREIGN KEY (`challenge_id`) REFERENCES `challenge`(`id`) ON UPDATE no action ON DELETE cascade,
	FOREIGN KEY (`player_id`) REFERENCES `player`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `challenge_result` (
	`id` text PRIMARY KEY NOT NULL,
	`challenge_id` text NOT NULL,
	`player_id` text,
	`partner_id` text,
	`club` text,
	`result` real NOT NULL,
	`day` text NOT NULL,
	`at_ms` integer NOT NULL,
	`by` text,
	`removed_at_ms` integer,
	FOREIGN KEY (`challenge_id`) REFERENCES `challenge`(`id`) ON UPDATE no action ON DELETE cascade,
	FOREIGN KEY (`player_id`) REFERENCES `player`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`partner_id`) REFERENCES `player`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `challenge_result_by_challenge` ON `challenge_result` (`challenge_id`);--> statement-breakpoint
CREATE TABLE `count_word` (
	`id` text PRIMARY KEY NOT NULL,
	`player_id` text NOT NULL,
	`doubt` text NOT NULL,
	`word` text NOT NULL,
	`until_day` text NOT NULL,
	`at_ms` integer NOT NULL,
	`by` text,
	`removed_at_ms` integer,
	FOREIGN KEY (`player_id`) REFERENCES `player`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `count_word_by_player` ON `count_word` (`player_id`);--> statement-breakpoint
CREATE TABLE `ledger` (
	`focus_id` text PRIMARY KEY NOT NULL,
	`goal` integer NOT NULL,
	`counts` text NOT NULL,
	FOREIGN KEY (`focus_id`) REFERENCES `focus`(`id`) ON UPDATE no action ON DELETE cascade
);

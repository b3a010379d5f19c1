CREATE TABLE `home` (
	`player_id` text PRIMARY KEY NOT NULL,
	`length_m` real NOT NULL,
	`width_m` real NOT NULL,
	`ceiling_m` real,
	`surface` text NOT NULL,
	`wall_m` real NOT NULL,
	`tables` integer NOT NULL,
	`lamps` integer NOT NULL,
	`helper` integer NOT NULL,
	`quiet_from` text,
	`quiet_to` text,
	`kit` text NOT NULL,
	FOREIGN KEY (`player_id`) REFERENCES `player`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `vow` (
	`id` text PRIMARY KEY NOT NULL,
	`player_id` text NOT NULL,
	`promise` text NOT NULL,
	`from_day` text NOT NULL,
	`until_day` text NOT NULL,
	`pauses` text DEFAULT '[]' NOT NULL,
	`revision` integer DEFAULT 1 NOT NULL,
	`created_at_ms` integer NOT NULL,
	`changed_at_ms` integer NOT NULL,
	`ended_on` text,
	`ended_why` text DEFAULT '' NOT NULL,
	`thanked_at_ms` integer,
	`thanks` text DEFAULT '' NOT NULL,
	`renews` text,
	`by` text,
	`removed_at_ms` integer,
	FOREIGN KEY (`player_id`) REFERENCES `player`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `vow_by_player` ON `vow` (`player_id`);--> statement-breakpoint
CREATE TABLE `vow_day` (
	`vow_id` text NOT NULL,
	`day` text NOT NULL,
	`part` integer NOT NULL,
	`drill_id` text NOT NULL,
	`step_id` text NOT NULL,
	`dose` text NOT NULL,
	`session_id` text NOT NULL,
	`block_id` text NOT NULL,
	`state` text DEFAULT 'asked' NOT NULL,
	PRIMARY KEY(`vow_id`, `day`, `part`),
	FOREIGN KEY (`vow_id`) REFERENCES `vow`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE UNIQUE INDEX `vow_day_block_id_unique` ON `vow_day` (`block_id`);--> statement-breakpoint
CREATE INDEX `vow_day_by_day` ON `vow_day` (`day`);--> statement-breakpoint
CREATE TABLE `vow_file` (
	`id` text PRIMARY KEY NOT NULL,
	`player_id` text NOT NULL,
	`key` text NOT NULL,
	`created_at_ms` integer NOT NULL,
	`revoked_at_ms` integer,
	FOREIGN KEY (`player_id`) REFERENCES `player`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `vow_file_by_player` ON `vow_file` (`player_id`);--> statement-breakpoint
ALTER TABLE `attempt` ADD `home` integer DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE `session` ADD `kind` text DEFAULT 'court' NOT NULL;
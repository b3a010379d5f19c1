CREATE TABLE `attempt` (
	`block_id` text NOT NULL,
	`player_id` text NOT NULL,
	`number` integer NOT NULL,
	`drill_id` text NOT NULL,
	`step_id` text NOT NULL,
	`day` text NOT NULL,
	`result` real,
	`touches` integer NOT NULL,
	`drops` integer NOT NULL,
	`started_ms` integer NOT NULL,
	`touching_ms` integer NOT NULL,
	PRIMARY KEY(`block_id`, `player_id`, `number`),
	FOREIGN KEY (`block_id`) REFERENCES `block`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`player_id`) REFERENCES `player`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `attempt_by_day` ON `attempt` (`day`,`player_id`,`touches`);--> statement-breakpoint
CREATE INDEX `attempt_by_result` ON `attempt` (`player_id`,`drill_id`,`step_id`,`result`,`day`);--> statement-breakpoint
CREATE INDEX `attempt_by_player` ON `attempt` (`player_id`,`drill_id`,`step_id`,`day`,`result`,`touches`,`drops`);--> statement-breakpoint
CREATE TABLE `block` (
	`id` text PRIMARY KEY NOT NULL,
	`session_id` text NOT NULL,
	`position` integer NOT NULL,
	`drill_id` text NOT NULL,
	`step_id` text NOT NULL,
	`dose` text NOT NULL,
	FOREIGN KEY (`session_id`) REFERENCES `session`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `block_by_session` ON `block` (`session_id`,`position`);--> statement-breakpoint
CREATE TABLE `block_player` (
	`block_id` text NOT NULL,
	`player_id` text NOT NULL,
	`target` real,
	`stale` integer DEFAULT 0 NOT NULL,
	PRIMARY KEY(`block_id`, `player_id`),
	FOREIGN KEY (`block_id`) REFERENCES `block`(`id`) ON UPDATE no action ON DELETE cascade,
	FOREIGN KEY (`player_id`) REFERENCES `player`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `block_player_stale` ON `block_player` (`block_id`) WHERE stale = 1;--> statement-breakpoint
CREATE TABLE `decision` (
	`block_id` text NOT NULL,
	`player_id` text NOT NULL,
	`drill_id` text NOT NULL,
	`step_id` text NOT NULL,
	`verdict` text NOT NULL,
	`next_step_id` text NOT NULL,
	`target` real NOT NULL,
	`reason` text NOT NULL,
	`overridden` integer NOT NULL,
	`decided_at_ms` integer NOT NULL,
	PRIMARY KEY(`block_id`, `player_id`),
	FOREIGN KEY (`block_id`) REFERENCES `block`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`player_id`) REFERENCES `player`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `decision_by_player` ON `decision` (`player_id`,`drill_id`,`decided_at_ms`);--> statement-breakpoint
CREATE TABLE `focus` (
	`id` text PRIMARY KEY NOT NULL,
	`player_id` text NOT NULL,
	`text` text NOT NULL,
	`since_ms` integer NOT NULL,
	`until_ms` integer,
	FOREIGN KEY (`player_id`) REFERENCES `player`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `focus_one_open` ON `focus` (`player_id`) WHERE until_ms is null;--> statement-breakpoint
CREATE TABLE `ladder_place` (
	`player_id` text NOT NULL,
	`drill_id` text NOT NULL,
	`step_id` text NOT NULL,
	`target` real NOT NULL,
	`since_ms` integer NOT NULL,
	`why` text NOT NULL,
	PRIMARY KEY(`player_id`, `drill_id`),
	FOREIGN KEY (`player_id`) REFERENCES `player`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `player` (
	`id` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`birth_year` integer NOT NULL,
	`sport` text NOT NULL,
	`hand` text NOT NULL,
	`stage` text,
	`height_cm` integer,
	`racket_in` real,
	`care_note` text DEFAULT '' NOT NULL,
	`created_at_ms` integer NOT NULL,
	`removed_at_ms` integer
);
--> statement-breakpoint
CREATE TABLE `session` (
	`id` text PRIMARY KEY NOT NULL,
	`title` text NOT NULL,
	`day` text NOT NULL,
	`start_time` text NOT NULL,
	`booked_min` integer NOT NULL,
	`coach` text DEFAULT '' NOT NULL,
	`place_name` text DEFAULT '' NOT NULL,
	`state` text DEFAULT 'planned' NOT NULL,
	`revision` integer DEFAULT 1 NOT NULL,
	`created_at_ms` integer NOT NULL,
	`started_at_ms` integer,
	`finished_at_ms` integer,
	`removed_at_ms` integer
);
--> statement-breakpoint
CREATE INDEX `session_by_day` ON `session` (`day`,`start_time`);--> statement-breakpoint
CREATE TABLE `session_player` (
	`session_id` text NOT NULL,
	`player_id` text NOT NULL,
	`position` integer NOT NULL,
	PRIMARY KEY(`session_id`, `player_id`),
	FOREIGN KEY (`session_id`) REFERENCES `session`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`player_id`) REFERENCES `player`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `session_player_by_player` ON `session_player` (`player_id`);--> statement-breakpoint
CREATE TABLE `touch_event` (
	`id` text PRIMARY KEY NOT NULL,
	`block_id` text NOT NULL,
	`player_id` text,
	`kind` text NOT NULL,
	`attempt` integer NOT NULL,
	`value` real,
	`ref` text,
	`at_ms` integer NOT NULL,
	`mono_ms` integer NOT NULL,
	`device` text NOT NULL,
	FOREIGN KEY (`block_id`) REFERENCES `block`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`player_id`) REFERENCES `player`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `touch_event_by_block` ON `touch_event` (`block_id`,`player_id`);
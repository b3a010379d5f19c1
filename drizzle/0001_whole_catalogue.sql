CREATE TABLE `fit_override` (
	`player_id` text NOT NULL,
	`key` text NOT NULL,
	`value` real NOT NULL,
	PRIMARY KEY(`player_id`, `key`),
	FOREIGN KEY (`player_id`) REFERENCES `player`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `kit_item` (
	`name` text PRIMARY KEY NOT NULL,
	`count` integer NOT NULL
);
--> statement-breakpoint
CREATE TABLE `own_drill` (
	`id` text PRIMARY KEY NOT NULL,
	`drill` text NOT NULL,
	`created_at_ms` integer NOT NULL,
	`removed_at_ms` integer
);
--> statement-breakpoint
CREATE TABLE `place` (
	`id` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`length_m` real NOT NULL,
	`width_m` real NOT NULL,
	`ceiling_m` real,
	`surface` text NOT NULL,
	`wall_m` real NOT NULL,
	`tables` integer NOT NULL,
	`hazards` text DEFAULT '[]' NOT NULL,
	`quiet_from` text,
	`quiet_to` text,
	`created_at_ms` integer NOT NULL,
	`removed_at_ms` integer
);
--> statement-breakpoint
CREATE TABLE `school_choice` (
	`scope` text NOT NULL,
	`key` text NOT NULL,
	`question` text NOT NULL,
	`answer` text NOT NULL,
	PRIMARY KEY(`scope`, `key`, `question`)
);
--> statement-breakpoint
DROP INDEX `attempt_by_result`;--> statement-breakpoint
ALTER TABLE `attempt` ADD `eased` integer DEFAULT false NOT NULL;--> statement-breakpoint
CREATE INDEX `attempt_by_result` ON `attempt` (`player_id`,`drill_id`,`step_id`,`eased`,`result`,`day`);--> statement-breakpoint
ALTER TABLE `block` ADD `changes` text DEFAULT '[]' NOT NULL;--> statement-breakpoint
ALTER TABLE `block` ADD `stations` integer DEFAULT 1 NOT NULL;--> statement-breakpoint
ALTER TABLE `block` ADD `break_s` integer DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE `block` ADD `retest` integer DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE `block_player` ADD `step_id` text;--> statement-breakpoint
ALTER TABLE `block_player` ADD `amount` real;--> statement-breakpoint
ALTER TABLE `block_player` ADD `sits_out` integer DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE `session` ADD `place_id` text REFERENCES place(id);--> statement-breakpoint
ALTER TABLE `session` ADD `air_c` integer;
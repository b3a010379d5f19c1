CREATE TABLE `feeder_setting` (
	`id` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`drill_id` text NOT NULL,
	`settings` text NOT NULL,
	`created_at_ms` integer NOT NULL,
	`removed_at_ms` integer
);
--> statement-breakpoint
ALTER TABLE `block` ADD `setting` text;
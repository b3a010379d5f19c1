CREATE TABLE `note` (
	`id` text PRIMARY KEY NOT NULL,
	`session_id` text,
	`block_id` text,
	`player_id` text,
	`question` text,
	`text` text NOT NULL,
	`at_ms` integer NOT NULL,
	`by` text,
	`removed_at_ms` integer,
	FOREIGN KEY (`session_id`) REFERENCES `session`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`player_id`) REFERENCES `player`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `note_by_session` ON `note` (`session_id`);--> statement-breakpoint
CREATE INDEX `note_by_player` ON `note` (`player_id`,`at_ms`);--> statement-breakpoint
CREATE TABLE `pattern` (
	`id` text PRIMARY KEY NOT NULL,
	`title` text NOT NULL,
	`booked_min` integer NOT NULL,
	`blocks` text NOT NULL,
	`created_at_ms` integer NOT NULL,
	`removed_at_ms` integer
);

CREATE TABLE `helper_link` (
	`token_hash` text PRIMARY KEY NOT NULL,
	`session_id` text NOT NULL,
	`player_id` text NOT NULL,
	`created_at_ms` integer NOT NULL,
	`expires_at_ms` integer NOT NULL,
	`revoked_at_ms` integer,
	FOREIGN KEY (`session_id`) REFERENCES `session`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`player_id`) REFERENCES `player`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `helper_link_by_session` ON `helper_link` (`session_id`,`player_id`);--> statement-breakpoint
ALTER TABLE `attempt` ADD `reported` integer DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE `attempt` ADD `fixed` integer DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE `attempt` ADD `feed` text;--> statement-breakpoint
ALTER TABLE `attempt` ADD `ball` text;--> statement-breakpoint
ALTER TABLE `touch_event` ADD `text` text;--> statement-breakpoint
ALTER TABLE `touch_event` ADD `by` text;
CREATE TABLE `database_fact` (
	`key` text PRIMARY KEY NOT NULL,
	`value` text NOT NULL
);
--> statement-breakpoint
PRAGMA foreign_keys=OFF;--> statement-breakpoint
CREATE TABLE `__new_touch_event` (
	`seq` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`id` text NOT NULL,
	`block_id` text NOT NULL,
	`player_id` text,
	`kind` text NOT NULL,
	`attempt` integer NOT NULL,
	`value` real,
	`ref` text,
	`text` text,
	`by` text,
	`at_ms` integer NOT NULL,
	`mono_ms` integer NOT NULL,
	`device` text NOT NULL,
	FOREIGN KEY (`block_id`) REFERENCES `block`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`player_id`) REFERENCES `player`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
-- The rows keep the numbers they had: devices go on following from where they were.
INSERT INTO `__new_touch_event`("seq", "id", "block_id", "player_id", "kind", "attempt", "value", "ref", "text", "by", "at_ms", "mono_ms", "device") SELECT rowid, "id", "block_id", "player_id", "kind", "attempt", "value", "ref", "text", "by", "at_ms", "mono_ms", "device" FROM `touch_event` ORDER BY rowid;--> statement-breakpoint
DROP TABLE `touch_event`;--> statement-breakpoint
ALTER TABLE `__new_touch_event` RENAME TO `touch_event`;--> statement-breakpoint
PRAGMA foreign_keys=ON;--> statement-breakpoint
CREATE UNIQUE INDEX `touch_event_id_unique` ON `touch_event` (`id`);--> statement-breakpoint
CREATE INDEX `touch_event_by_block` ON `touch_event` (`block_id`,`player_id`);--> statement-breakpoint
ALTER TABLE `helper_link` ADD `name` text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE `session` ADD `saved_as` text;
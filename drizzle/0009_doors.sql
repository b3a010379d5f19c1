CREATE TABLE `audit` (
	`id` text PRIMARY KEY NOT NULL,
	`at_ms` integer NOT NULL,
	`who` text NOT NULL,
	`what` text NOT NULL,
	`about` text NOT NULL,
	`times` integer DEFAULT 1 NOT NULL,
	`seq` integer NOT NULL
);
--> statement-breakpoint
CREATE INDEX `audit_by_time` ON `audit` (`at_ms`);--> statement-breakpoint
CREATE TABLE `coach` (
	`id` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`name_key` text NOT NULL,
	`role` text NOT NULL,
	`passcode` text NOT NULL,
	`created_at_ms` integer NOT NULL,
	`removed_at_ms` integer
);
--> statement-breakpoint
CREATE UNIQUE INDEX `coach_by_name` ON `coach` (`name_key`) WHERE removed_at_ms is null;--> statement-breakpoint
CREATE TABLE `sign_in` (
	`token_hash` text PRIMARY KEY NOT NULL,
	`coach_id` text NOT NULL,
	`created_at_ms` integer NOT NULL,
	`last_used_at_ms` integer NOT NULL,
	`ended_at_ms` integer,
	FOREIGN KEY (`coach_id`) REFERENCES `coach`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `sign_in_by_coach` ON `sign_in` (`coach_id`);--> statement-breakpoint
CREATE TABLE `sign_in_try` (
	`key` text PRIMARY KEY NOT NULL,
	`failures` integer NOT NULL,
	`last_at_ms` integer NOT NULL
);
--> statement-breakpoint
CREATE TABLE `take_over` (
	`id` text PRIMARY KEY NOT NULL,
	`at_ms` integer NOT NULL,
	`name` text NOT NULL,
	`what` text NOT NULL,
	`undone_at_ms` integer
);
--> statement-breakpoint
CREATE TABLE `write_mark` (
	`n` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`id` text NOT NULL,
	`at_ms` integer NOT NULL
);
--> statement-breakpoint
CREATE UNIQUE INDEX `write_mark_id_unique` ON `write_mark` (`id`);--> statement-breakpoint
PRAGMA foreign_keys=OFF;--> statement-breakpoint
CREATE TABLE `__new_helper_link` (
	`token_hash` text PRIMARY KEY NOT NULL,
	`scope` text DEFAULT 'count' NOT NULL,
	`session_id` text,
	`player_id` text,
	`name` text DEFAULT '' NOT NULL,
	`created_at_ms` integer NOT NULL,
	`expires_at_ms` integer NOT NULL,
	`revoked_at_ms` integer,
	`uses` integer DEFAULT 0 NOT NULL,
	`last_used_at_ms` integer,
	FOREIGN KEY (`session_id`) REFERENCES `session`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`player_id`) REFERENCES `player`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
INSERT INTO `__new_helper_link`("token_hash", "scope", "session_id", "player_id", "name", "created_at_ms", "expires_at_ms", "revoked_at_ms", "uses", "last_used_at_ms") SELECT "token_hash", "scope", "session_id", "player_id", "name", "created_at_ms", "expires_at_ms", "revoked_at_ms", "uses", "last_used_at_ms" FROM `helper_link`;--> statement-breakpoint
DROP TABLE `helper_link`;--> statement-breakpoint
ALTER TABLE `__new_helper_link` RENAME TO `helper_link`;--> statement-breakpoint
PRAGMA foreign_keys=ON;--> statement-breakpoint
CREATE INDEX `helper_link_by_session` ON `helper_link` (`session_id`,`player_id`);
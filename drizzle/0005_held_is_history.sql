ALTER TABLE `decision` ADD `evidence` text;--> statement-breakpoint
ALTER TABLE `session` ADD `not_held` text;--> statement-breakpoint
ALTER TABLE `session_player` ADD `attendance` text;--> statement-breakpoint
ALTER TABLE `session_player` ADD `attendance_at_ms` integer;--> statement-breakpoint
ALTER TABLE `block_player` DROP COLUMN `target`;
ALTER TABLE `attempt` ADD `gaps` integer DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE `decision` ADD `evidence` text;--> statement-breakpoint
ALTER TABLE `decision` ADD `by` text;--> statement-breakpoint
ALTER TABLE `helper_link` ADD `scope` text DEFAULT 'count' NOT NULL;--> statement-breakpoint
ALTER TABLE `helper_link` ADD `uses` integer DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE `helper_link` ADD `last_used_at_ms` integer;--> statement-breakpoint
ALTER TABLE `session` ADD `not_held` text;--> statement-breakpoint
ALTER TABLE `session_player` ADD `attendance` text;--> statement-breakpoint
ALTER TABLE `session_player` ADD `attendance_at_ms` integer;--> statement-breakpoint
ALTER TABLE `session_player` ADD `attendance_by` text;--> statement-breakpoint
ALTER TABLE `block_player` DROP COLUMN `target`;--> statement-breakpoint
-- What a rate is made of is new: every result is worked out again from the log.
UPDATE `block_player` SET `stale` = 1;
--> statement-breakpoint
-- Who had counts was there; of the others nobody has said.
UPDATE `session_player` SET `attendance` = 'here' WHERE EXISTS (
  SELECT 1 FROM `block` JOIN `touch_event` ON `touch_event`.`block_id` = `block`.`id`
  WHERE `block`.`session_id` = `session_player`.`session_id` AND `touch_event`.`player_id` = `session_player`.`player_id`);

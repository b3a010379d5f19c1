ALTER TABLE `attempt` ADD `doubtful` integer DEFAULT false NOT NULL;--> statement-breakpoint
UPDATE `block_player` SET `stale` = 1 WHERE `block_id` IN (SELECT `block_id` FROM `touch_event` WHERE `kind` = 'lap');

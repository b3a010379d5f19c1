ALTER TABLE `attempt` ADD `origin` text;--> statement-breakpoint
ALTER TABLE `touch_event` ADD `origin` text;
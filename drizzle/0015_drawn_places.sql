ALTER TABLE `place` ADD `wall_side` text;--> statement-breakpoint
ALTER TABLE `place` ADD `things` text;
ALTER TABLE `block` ADD `circuit` text;--> statement-breakpoint
ALTER TABLE `helper_link` ADD `block_id` text REFERENCES block(id) ON DELETE cascade;
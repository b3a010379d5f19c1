CREATE TABLE `shadow_sequence` (
	`id` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`sport` text NOT NULL,
	`ground` text NOT NULL,
	`line` text NOT NULL,
	`created_at_ms` integer NOT NULL,
	`removed_at_ms` integer
);

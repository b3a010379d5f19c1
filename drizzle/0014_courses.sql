CREATE TABLE `course` (
	`id` text PRIMARY KEY NOT NULL,
	`title` text NOT NULL,
	`drill_id` text NOT NULL,
	`step_id` text NOT NULL,
	`created_at_ms` integer NOT NULL,
	`by` text,
	`removed_at_ms` integer
);
--> statement-breakpoint
CREATE TABLE `course_change` (
	`id` text PRIMARY KEY NOT NULL,
	`course_id` text NOT NULL,
	`session_id` text,
	`moves` text NOT NULL,
	`at_ms` integer NOT NULL,
	FOREIGN KEY (`course_id`) REFERENCES `course`(`id`) ON UPDATE no action ON DELETE cascade,
	FOREIGN KEY (`session_id`) REFERENCES `session`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `course_change_by_course` ON `course_change` (`course_id`,`at_ms`);--> statement-breakpoint
CREATE TABLE `course_session` (
	`course_id` text NOT NULL,
	`session_id` text NOT NULL,
	`rungs` text NOT NULL,
	`note_id` text,
	PRIMARY KEY(`course_id`, `session_id`),
	FOREIGN KEY (`course_id`) REFERENCES `course`(`id`) ON UPDATE no action ON DELETE cascade,
	FOREIGN KEY (`session_id`) REFERENCES `session`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`note_id`) REFERENCES `note`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `course_session_by_session` ON `course_session` (`session_id`);
-- The schema as the last of the twenty migrations before the baseline left it. For upgrade.test.
CREATE TABLE "__drizzle_migrations" (
			id SERIAL PRIMARY KEY,
			hash text NOT NULL,
			created_at numeric
		);
--> statement-breakpoint
CREATE TABLE `attempt` (
	`block_id` text NOT NULL,
	`player_id` text NOT NULL,
	`number` integer NOT NULL,
	`drill_id` text NOT NULL,
	`step_id` text NOT NULL,
	`day` text NOT NULL,
	`result` real,
	`touches` integer NOT NULL,
	`drops` integer NOT NULL,
	`started_ms` integer NOT NULL,
	`touching_ms` integer NOT NULL, `eased` integer DEFAULT false NOT NULL, `reported` integer DEFAULT false NOT NULL, `fixed` integer DEFAULT false NOT NULL, `feed` text, `ball` text, `gaps` integer DEFAULT 0 NOT NULL, `home` integer DEFAULT false NOT NULL, `other_hand` integer DEFAULT false NOT NULL, `origin` text, `doubtful` integer DEFAULT false NOT NULL,
	PRIMARY KEY(`block_id`, `player_id`, `number`),
	FOREIGN KEY (`block_id`) REFERENCES `block`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`player_id`) REFERENCES `player`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
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
CREATE TABLE `block` (
	`id` text PRIMARY KEY NOT NULL,
	`session_id` text NOT NULL,
	`position` integer NOT NULL,
	`drill_id` text NOT NULL,
	`step_id` text NOT NULL,
	`dose` text NOT NULL, `changes` text DEFAULT '[]' NOT NULL, `stations` integer DEFAULT 1 NOT NULL, `break_s` integer DEFAULT 0 NOT NULL, `retest` integer DEFAULT false NOT NULL, `setting` text, `circuit` text,
	FOREIGN KEY (`session_id`) REFERENCES `session`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `block_player` (
	`block_id` text NOT NULL,
	`player_id` text NOT NULL,
	`stale` integer DEFAULT 0 NOT NULL, `step_id` text, `amount` real, `sits_out` integer DEFAULT false NOT NULL,
	PRIMARY KEY(`block_id`, `player_id`),
	FOREIGN KEY (`block_id`) REFERENCES `block`(`id`) ON UPDATE no action ON DELETE cascade,
	FOREIGN KEY (`player_id`) REFERENCES `player`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `challenge` (
	`id` text PRIMARY KEY NOT NULL,
	`title` text NOT NULL,
	`kind` text NOT NULL,
	`drill_id` text NOT NULL,
	`step_id` text NOT NULL,
	`rules` text DEFAULT '' NOT NULL,
	`from_day` text NOT NULL,
	`until_day` text NOT NULL,
	`attempts` integer,
	`goal` integer,
	`ranked` integer DEFAULT false NOT NULL,
	`created_at_ms` integer NOT NULL,
	`removed_at_ms` integer,
	`by` text
);
--> statement-breakpoint
CREATE TABLE `challenge_player` (
	`challenge_id` text NOT NULL,
	`player_id` text NOT NULL,
	`best` real,
	`level` real,
	`variance` real,
	PRIMARY KEY(`challenge_id`, `player_id`),
	FOREIGN KEY (`challenge_id`) REFERENCES `challenge`(`id`) ON UPDATE no action ON DELETE cascade,
	FOREIGN KEY (`player_id`) REFERENCES `player`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `challenge_result` (
	`id` text PRIMARY KEY NOT NULL,
	`challenge_id` text NOT NULL,
	`player_id` text,
	`partner_id` text,
	`club` text,
	`result` real NOT NULL,
	`day` text NOT NULL,
	`at_ms` integer NOT NULL,
	`by` text,
	`removed_at_ms` integer,
	FOREIGN KEY (`challenge_id`) REFERENCES `challenge`(`id`) ON UPDATE no action ON DELETE cascade,
	FOREIGN KEY (`player_id`) REFERENCES `player`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`partner_id`) REFERENCES `player`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
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
CREATE TABLE `count_word` (
	`id` text PRIMARY KEY NOT NULL,
	`player_id` text NOT NULL,
	`doubt` text NOT NULL,
	`word` text NOT NULL,
	`until_day` text NOT NULL,
	`at_ms` integer NOT NULL,
	`by` text,
	`removed_at_ms` integer,
	FOREIGN KEY (`player_id`) REFERENCES `player`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
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
CREATE TABLE `database_fact` (
	`key` text PRIMARY KEY NOT NULL,
	`value` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `decision` (
	`block_id` text NOT NULL,
	`player_id` text NOT NULL,
	`drill_id` text NOT NULL,
	`step_id` text NOT NULL,
	`verdict` text NOT NULL,
	`next_step_id` text NOT NULL,
	`target` real NOT NULL,
	`reason` text NOT NULL,
	`overridden` integer NOT NULL,
	`decided_at_ms` integer NOT NULL, `evidence` text, `by` text,
	PRIMARY KEY(`block_id`, `player_id`),
	FOREIGN KEY (`block_id`) REFERENCES `block`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`player_id`) REFERENCES `player`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `feeder_setting` (
	`id` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`drill_id` text NOT NULL,
	`settings` text NOT NULL,
	`created_at_ms` integer NOT NULL,
	`removed_at_ms` integer
);
--> statement-breakpoint
CREATE TABLE `fit_override` (
	`player_id` text NOT NULL,
	`key` text NOT NULL,
	`value` real NOT NULL,
	PRIMARY KEY(`player_id`, `key`),
	FOREIGN KEY (`player_id`) REFERENCES `player`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `focus` (
	`id` text PRIMARY KEY NOT NULL,
	`player_id` text NOT NULL,
	`text` text NOT NULL,
	`since_ms` integer NOT NULL,
	`until_ms` integer,
	FOREIGN KEY (`player_id`) REFERENCES `player`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE "helper_link" (
	`token_hash` text PRIMARY KEY NOT NULL,
	`scope` text DEFAULT 'count' NOT NULL,
	`session_id` text,
	`player_id` text,
	`name` text DEFAULT '' NOT NULL,
	`created_at_ms` integer NOT NULL,
	`expires_at_ms` integer NOT NULL,
	`revoked_at_ms` integer,
	`uses` integer DEFAULT 0 NOT NULL,
	`last_used_at_ms` integer, `block_id` text REFERENCES block(id) ON DELETE cascade,
	FOREIGN KEY (`session_id`) REFERENCES `session`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`player_id`) REFERENCES `player`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `home` (
	`player_id` text PRIMARY KEY NOT NULL,
	`length_m` real NOT NULL,
	`width_m` real NOT NULL,
	`ceiling_m` real,
	`surface` text NOT NULL,
	`wall_m` real NOT NULL,
	`tables` integer NOT NULL,
	`lamps` integer NOT NULL,
	`helper` integer NOT NULL,
	`quiet_from` text,
	`quiet_to` text,
	`kit` text NOT NULL,
	FOREIGN KEY (`player_id`) REFERENCES `player`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `kit_item` (
	`name` text PRIMARY KEY NOT NULL,
	`count` integer NOT NULL
);
--> statement-breakpoint
CREATE TABLE `ladder_place` (
	`player_id` text NOT NULL,
	`drill_id` text NOT NULL,
	`step_id` text NOT NULL,
	`target` real NOT NULL,
	`since_ms` integer NOT NULL,
	`why` text NOT NULL,
	PRIMARY KEY(`player_id`, `drill_id`),
	FOREIGN KEY (`player_id`) REFERENCES `player`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `ledger` (
	`focus_id` text PRIMARY KEY NOT NULL,
	`goal` integer NOT NULL,
	`counts` text NOT NULL,
	FOREIGN KEY (`focus_id`) REFERENCES `focus`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE TABLE `note` (
	`id` text PRIMARY KEY NOT NULL,
	`session_id` text,
	`block_id` text,
	`player_id` text,
	`question` text,
	`text` text NOT NULL,
	`at_ms` integer NOT NULL,
	`by` text,
	`removed_at_ms` integer,
	FOREIGN KEY (`session_id`) REFERENCES `session`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`player_id`) REFERENCES `player`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `own_drill` (
	`id` text PRIMARY KEY NOT NULL,
	`drill` text NOT NULL,
	`created_at_ms` integer NOT NULL,
	`removed_at_ms` integer
);
--> statement-breakpoint
CREATE TABLE `pattern` (
	`id` text PRIMARY KEY NOT NULL,
	`title` text NOT NULL,
	`booked_min` integer NOT NULL,
	`blocks` text NOT NULL,
	`created_at_ms` integer NOT NULL,
	`removed_at_ms` integer
);
--> statement-breakpoint
CREATE TABLE `place` (
	`id` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`length_m` real NOT NULL,
	`width_m` real NOT NULL,
	`ceiling_m` real,
	`surface` text NOT NULL,
	`wall_m` real NOT NULL,
	`tables` integer NOT NULL,
	`hazards` text DEFAULT '[]' NOT NULL,
	`quiet_from` text,
	`quiet_to` text,
	`created_at_ms` integer NOT NULL,
	`removed_at_ms` integer
, `wall_side` text, `things` text);
--> statement-breakpoint
CREATE TABLE `player` (
	`id` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`birth_year` integer NOT NULL,
	`sport` text NOT NULL,
	`hand` text NOT NULL,
	`stage` text,
	`height_cm` integer,
	`racket_in` real,
	`care_note` text DEFAULT '' NOT NULL,
	`created_at_ms` integer NOT NULL,
	`removed_at_ms` integer
, `erased_at_ms` integer);
--> statement-breakpoint
CREATE TABLE `school_choice` (
	`scope` text NOT NULL,
	`key` text NOT NULL,
	`question` text NOT NULL,
	`answer` text NOT NULL,
	PRIMARY KEY(`scope`, `key`, `question`)
);
--> statement-breakpoint
CREATE TABLE `session` (
	`id` text PRIMARY KEY NOT NULL,
	`title` text NOT NULL,
	`day` text NOT NULL,
	`start_time` text NOT NULL,
	`booked_min` integer NOT NULL,
	`coach` text DEFAULT '' NOT NULL,
	`place_name` text DEFAULT '' NOT NULL,
	`state` text DEFAULT 'planned' NOT NULL,
	`revision` integer DEFAULT 1 NOT NULL,
	`created_at_ms` integer NOT NULL,
	`started_at_ms` integer,
	`finished_at_ms` integer,
	`removed_at_ms` integer
, `place_id` text REFERENCES place(id), `air_c` integer, `saved_as` text, `not_held` text, `kind` text DEFAULT 'court' NOT NULL, `lane_moves` text);
--> statement-breakpoint
CREATE TABLE `session_player` (
	`session_id` text NOT NULL,
	`player_id` text NOT NULL,
	`position` integer NOT NULL, `attendance` text, `attendance_at_ms` integer, `attendance_by` text,
	PRIMARY KEY(`session_id`, `player_id`),
	FOREIGN KEY (`session_id`) REFERENCES `session`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`player_id`) REFERENCES `player`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `shadow_sequence` (
	`id` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`sport` text NOT NULL,
	`ground` text NOT NULL,
	`line` text NOT NULL,
	`created_at_ms` integer NOT NULL,
	`removed_at_ms` integer
);
--> statement-breakpoint
CREATE TABLE `sign_in` (
	`token_hash` text PRIMARY KEY NOT NULL,
	`coach_id` text NOT NULL,
	`created_at_ms` integer NOT NULL,
	`last_used_at_ms` integer NOT NULL,
	`ended_at_ms` integer,
	FOREIGN KEY (`coach_id`) REFERENCES `coach`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
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
CREATE TABLE "touch_event" (
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
	`device` text NOT NULL, `origin` text,
	FOREIGN KEY (`block_id`) REFERENCES `block`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`player_id`) REFERENCES `player`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `vow` (
	`id` text PRIMARY KEY NOT NULL,
	`player_id` text NOT NULL,
	`promise` text NOT NULL,
	`from_day` text NOT NULL,
	`until_day` text NOT NULL,
	`pauses` text DEFAULT '[]' NOT NULL,
	`revision` integer DEFAULT 1 NOT NULL,
	`created_at_ms` integer NOT NULL,
	`changed_at_ms` integer NOT NULL,
	`ended_on` text,
	`ended_why` text DEFAULT '' NOT NULL,
	`thanked_at_ms` integer,
	`thanks` text DEFAULT '' NOT NULL,
	`renews` text,
	`by` text,
	`removed_at_ms` integer,
	FOREIGN KEY (`player_id`) REFERENCES `player`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `vow_day` (
	`vow_id` text NOT NULL,
	`day` text NOT NULL,
	`part` integer NOT NULL,
	`drill_id` text NOT NULL,
	`step_id` text NOT NULL,
	`dose` text NOT NULL,
	`session_id` text NOT NULL,
	`block_id` text NOT NULL,
	`state` text DEFAULT 'asked' NOT NULL,
	PRIMARY KEY(`vow_id`, `day`, `part`),
	FOREIGN KEY (`vow_id`) REFERENCES `vow`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE TABLE `vow_file` (
	`id` text PRIMARY KEY NOT NULL,
	`player_id` text NOT NULL,
	`key` text NOT NULL,
	`created_at_ms` integer NOT NULL,
	`revoked_at_ms` integer,
	FOREIGN KEY (`player_id`) REFERENCES `player`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `write_mark` (
	`n` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`id` text NOT NULL,
	`at_ms` integer NOT NULL
);
--> statement-breakpoint
CREATE INDEX `attempt_by_day` ON `attempt` (`day`,`player_id`,`drill_id`,`step_id`,`touches`,`drops`,`result`);
--> statement-breakpoint
CREATE INDEX `attempt_by_player` ON `attempt` (`player_id`,`drill_id`,`step_id`,`day`,`result`,`touches`,`drops`);
--> statement-breakpoint
CREATE INDEX `attempt_by_result` ON `attempt` (`player_id`,`drill_id`,`step_id`,`eased`,`result`,`day`);
--> statement-breakpoint
CREATE INDEX `audit_by_time` ON `audit` (`at_ms`);
--> statement-breakpoint
CREATE INDEX `block_by_session` ON `block` (`session_id`,`position`);
--> statement-breakpoint
CREATE INDEX `block_player_stale` ON `block_player` (`block_id`) WHERE stale = 1;
--> statement-breakpoint
CREATE INDEX `challenge_result_by_challenge` ON `challenge_result` (`challenge_id`);
--> statement-breakpoint
CREATE UNIQUE INDEX `coach_by_name` ON `coach` (`name_key`) WHERE removed_at_ms is null;
--> statement-breakpoint
CREATE INDEX `count_word_by_player` ON `count_word` (`player_id`);
--> statement-breakpoint
CREATE INDEX `course_change_by_course` ON `course_change` (`course_id`,`at_ms`);
--> statement-breakpoint
CREATE INDEX `course_session_by_session` ON `course_session` (`session_id`);
--> statement-breakpoint
CREATE INDEX `decision_by_player` ON `decision` (`player_id`,`drill_id`,`decided_at_ms`);
--> statement-breakpoint
CREATE UNIQUE INDEX `focus_one_open` ON `focus` (`player_id`) WHERE until_ms is null;
--> statement-breakpoint
CREATE INDEX `helper_link_by_session` ON `helper_link` (`session_id`,`player_id`);
--> statement-breakpoint
CREATE INDEX `note_by_player` ON `note` (`player_id`,`at_ms`);
--> statement-breakpoint
CREATE INDEX `note_by_session` ON `note` (`session_id`);
--> statement-breakpoint
CREATE INDEX `session_by_day` ON `session` (`day`,`start_time`);
--> statement-breakpoint
CREATE INDEX `session_player_by_player` ON `session_player` (`player_id`);
--> statement-breakpoint
CREATE INDEX `sign_in_by_coach` ON `sign_in` (`coach_id`);
--> statement-breakpoint
CREATE INDEX `touch_event_by_block` ON `touch_event` (`block_id`,`player_id`);
--> statement-breakpoint
CREATE UNIQUE INDEX `touch_event_id_unique` ON `touch_event` (`id`);
--> statement-breakpoint
CREATE INDEX `vow_by_player` ON `vow` (`player_id`);
--> statement-breakpoint
CREATE UNIQUE INDEX `vow_day_block_id_unique` ON `vow_day` (`block_id`);
--> statement-breakpoint
CREATE INDEX `vow_day_by_day` ON `vow_day` (`day`);
--> statement-breakpoint
CREATE INDEX `vow_file_by_player` ON `vow_file` (`player_id`);
--> statement-breakpoint
CREATE UNIQUE INDEX `write_mark_id_unique` ON `write_mark` (`id`);

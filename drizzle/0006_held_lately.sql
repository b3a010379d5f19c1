DROP INDEX `attempt_by_day`;--> statement-breakpoint
CREATE INDEX `attempt_by_day` ON `attempt` (`day`,`player_id`,`drill_id`,`step_id`,`touches`,`drops`,`result`);
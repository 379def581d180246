CREATE TABLE `trial_events` (
	`id` text PRIMARY KEY NOT NULL,
	`series_id` text NOT NULL,
	`sheet_id` text NOT NULL,
	`at` integer NOT NULL,
	`says` text NOT NULL,
	FOREIGN KEY (`sheet_id`) REFERENCES `sheets`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `trial_events_by_series` ON `trial_events` (`series_id`);--> statement-breakpoint
CREATE INDEX `trial_events_by_sheet` ON `trial_events` (`sheet_id`);
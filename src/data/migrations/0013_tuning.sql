CREATE TABLE `tune_tests` (
	`id` text PRIMARY KEY NOT NULL,
	`at` integer NOT NULL,
	`measured` text NOT NULL,
	`thing_was` text NOT NULL,
	`effect` text
);
--> statement-breakpoint
CREATE INDEX `tune_tests_by_time` ON `tune_tests` (`at`);
CREATE TABLE `observations` (
	`id` text PRIMARY KEY NOT NULL,
	`batch_id` text NOT NULL,
	`kind` text NOT NULL,
	`at` integer NOT NULL,
	`value` real,
	`words` text DEFAULT '' NOT NULL,
	`photo` text,
	FOREIGN KEY (`batch_id`) REFERENCES `batches`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `observations_by_batch` ON `observations` (`batch_id`);--> statement-breakpoint
CREATE TABLE `outcome_answers` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`batch_id` text NOT NULL,
	`figure` text NOT NULL,
	`answer` text NOT NULL,
	FOREIGN KEY (`batch_id`) REFERENCES `batches`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `outcome_answers_one` ON `outcome_answers` (`batch_id`,`figure`);--> statement-breakpoint
CREATE TABLE `temperatures` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`batch_id` text NOT NULL,
	`series` text NOT NULL,
	`at` integer NOT NULL,
	`t_c` real NOT NULL,
	FOREIGN KEY (`batch_id`) REFERENCES `batches`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `temperatures_moment` ON `temperatures` (`batch_id`,`series`,`at`);
CREATE TABLE `mends` (
	`id` text PRIMARY KEY NOT NULL,
	`batch_id` text NOT NULL,
	`at` integer NOT NULL,
	`sign` text NOT NULL,
	`cause` text NOT NULL,
	`helped` integer,
	FOREIGN KEY (`batch_id`) REFERENCES `batches`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `mends_by_sign` ON `mends` (`sign`);
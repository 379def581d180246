CREATE TABLE `batch_packs` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`batch_id` text NOT NULL,
	`pack_id` text NOT NULL,
	`mass_g` real NOT NULL,
	FOREIGN KEY (`batch_id`) REFERENCES `batches`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`pack_id`) REFERENCES `stock_packs`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `batch_packs_one` ON `batch_packs` (`batch_id`,`pack_id`);--> statement-breakpoint
CREATE INDEX `batch_packs_by_pack` ON `batch_packs` (`pack_id`);--> statement-breakpoint
CREATE TABLE `book_entries` (
	`id` text PRIMARY KEY NOT NULL,
	`day` text NOT NULL,
	`at` integer NOT NULL,
	`subject` text NOT NULL,
	`entry` text NOT NULL
);
--> statement-breakpoint
CREATE INDEX `book_entries_by_day` ON `book_entries` (`day`);--> statement-breakpoint
CREATE INDEX `book_entries_by_subject` ON `book_entries` (`subject`);--> statement-breakpoint
ALTER TABLE `stock_packs` ADD `lot` text DEFAULT '' NOT NULL;
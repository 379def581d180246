ALTER TABLE `sheets` ADD `folder` text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE `sheets` ADD `archived_at` integer;
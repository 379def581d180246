DROP INDEX `batches_by_sheet`;--> statement-breakpoint
CREATE INDEX `batches_by_status` ON `batches` (`status`,`started_at`);--> statement-breakpoint
CREATE INDEX `batches_by_sheet` ON `batches` (`sheet_id`,`started_at`);
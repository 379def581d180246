CREATE TABLE `batches` (
	`id` text PRIMARY KEY NOT NULL,
	`sheet_id` text NOT NULL,
	`sheet_version` integer NOT NULL,
	`portions` integer NOT NULL,
	`status` text NOT NULL,
	`plan` text NOT NULL,
	`progress` text NOT NULL,
	`started_at` integer NOT NULL,
	`ended_at` integer,
	`revision` integer DEFAULT 1 NOT NULL,
	FOREIGN KEY (`sheet_id`) REFERENCES `sheets`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `batches_by_sheet` ON `batches` (`sheet_id`);--> statement-breakpoint
CREATE INDEX `batches_by_start` ON `batches` (`started_at`);--> statement-breakpoint
CREATE TABLE `ingredients` (
	`id` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`facts` text NOT NULL,
	`revision` integer DEFAULT 1 NOT NULL
);
--> statement-breakpoint
CREATE TABLE `kitchen_rules` (
	`id` integer PRIMARY KEY NOT NULL,
	`rules` text NOT NULL,
	`revision` integer DEFAULT 1 NOT NULL
);
--> statement-breakpoint
CREATE TABLE `mixers` (
	`id` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`kind` text NOT NULL,
	`bowl_ml` real NOT NULL,
	`place` integer NOT NULL,
	`revision` integer DEFAULT 1 NOT NULL
);
--> statement-breakpoint
CREATE TABLE `readings` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`batch_id` text NOT NULL,
	`kind` text NOT NULL,
	`value` real NOT NULL,
	`taken_at` integer NOT NULL,
	FOREIGN KEY (`batch_id`) REFERENCES `batches`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `readings_kind` ON `readings` (`batch_id`,`kind`);--> statement-breakpoint
CREATE TABLE `sheet_versions` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`sheet_id` text NOT NULL,
	`number` integer NOT NULL,
	`name` text,
	`doc` text NOT NULL,
	`created_at` integer NOT NULL,
	`saved_at` integer NOT NULL,
	FOREIGN KEY (`sheet_id`) REFERENCES `sheets`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `sheet_versions_number` ON `sheet_versions` (`sheet_id`,`number`);--> statement-breakpoint
CREATE TABLE `sheets` (
	`id` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`doc` text NOT NULL,
	`head_version` integer NOT NULL,
	`revision` integer DEFAULT 1 NOT NULL,
	`created_at` integer NOT NULL,
	`updated_at` integer NOT NULL
);

CREATE TABLE `cold_places` (
	`id` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`kind` text NOT NULL,
	`air_c` real NOT NULL,
	`litres` real NOT NULL,
	`place` integer NOT NULL,
	`revision` integer DEFAULT 1 NOT NULL
);
--> statement-breakpoint
CREATE TABLE `vessels` (
	`id` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`shape` text NOT NULL,
	`count` integer NOT NULL,
	`place` integer NOT NULL,
	`revision` integer DEFAULT 1 NOT NULL
);
--> statement-breakpoint
ALTER TABLE `sheets` ADD `saved_by` text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE `sheets` ADD `saved_over` integer DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE `sheets` ADD `saved_count` integer DEFAULT 0 NOT NULL;
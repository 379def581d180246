CREATE TABLE `services` (
	`id` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`doc` text NOT NULL,
	`revision` integer DEFAULT 1 NOT NULL,
	`created_at` integer NOT NULL,
	`updated_at` integer NOT NULL
);
--> statement-breakpoint
CREATE TABLE `stock_packs` (
	`id` text PRIMARY KEY NOT NULL,
	`ingredient_id` text NOT NULL,
	`size_g` real NOT NULL,
	`left_g` real NOT NULL,
	`best_before` text,
	`added_at` integer NOT NULL
);
--> statement-breakpoint
CREATE INDEX `stock_packs_by_ingredient` ON `stock_packs` (`ingredient_id`);
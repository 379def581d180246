CREATE TABLE `practice_stops` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`seed` integer NOT NULL,
	`stopped_s` real NOT NULL,
	`at` integer NOT NULL
);

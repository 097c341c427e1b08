CREATE TABLE `devices_paired` (
	`id` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`salt` text NOT NULL,
	`hash` text NOT NULL,
	`paired_at` text NOT NULL,
	`seen_at` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `record_entries` (
	`id` text PRIMARY KEY NOT NULL,
	`number` integer NOT NULL,
	`build_id` text NOT NULL,
	`revision` integer NOT NULL,
	`kind` text NOT NULL,
	`subject` text NOT NULL,
	`said` text NOT NULL,
	`corrects` text,
	`author` text NOT NULL,
	`device` text NOT NULL,
	`time` text NOT NULL,
	FOREIGN KEY (`build_id`) REFERENCES `builds`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `record_entries_number` ON `record_entries` (`build_id`,`number`);--> statement-breakpoint
CREATE TABLE `settings` (
	`name` text PRIMARY KEY NOT NULL,
	`value` text NOT NULL
);

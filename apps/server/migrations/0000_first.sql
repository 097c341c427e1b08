CREATE TABLE `build_revisions` (
	`build_id` text NOT NULL,
	`number` integer NOT NULL,
	`kind` text NOT NULL,
	`target` integer,
	`author` text NOT NULL,
	`time` text NOT NULL,
	`words` text NOT NULL,
	`command` text,
	`patch` text NOT NULL,
	`hash` text NOT NULL,
	PRIMARY KEY(`build_id`, `number`),
	FOREIGN KEY (`build_id`) REFERENCES `builds`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `builds` (
	`id` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`description` text NOT NULL,
	`revision` integer NOT NULL,
	`document` text NOT NULL,
	`demo` integer DEFAULT false NOT NULL,
	`updated_at` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `catalogue_items` (
	`id` text NOT NULL,
	`revision` integer NOT NULL,
	`category` text NOT NULL,
	`item` text NOT NULL,
	`hash` text NOT NULL,
	PRIMARY KEY(`id`, `revision`)
);
--> statement-breakpoint
CREATE INDEX `catalogue_items_category` ON `catalogue_items` (`category`);
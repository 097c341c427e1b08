CREATE TABLE `build_checkpoints` (
	`build_id` text NOT NULL,
	`number` integer NOT NULL,
	`format_version` integer NOT NULL,
	`document` text NOT NULL,
	PRIMARY KEY(`build_id`, `number`),
	FOREIGN KEY (`build_id`) REFERENCES `builds`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
ALTER TABLE `build_revisions` ADD `inverse` text;--> statement-breakpoint
ALTER TABLE `build_revisions` ADD `format_version` integer DEFAULT 3 NOT NULL;
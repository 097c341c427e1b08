ALTER TABLE `build_revisions` ADD `edit_id` text;--> statement-breakpoint
CREATE UNIQUE INDEX `build_revisions_edit` ON `build_revisions` (`build_id`,`edit_id`);--> statement-breakpoint
ALTER TABLE `builds` ADD `archived` integer DEFAULT false NOT NULL;
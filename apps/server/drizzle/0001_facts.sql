CREATE TABLE `records` (
	`id` text PRIMARY KEY NOT NULL,
	`version` integer NOT NULL,
	`sort` text NOT NULL,
	`body` text NOT NULL,
	`created_at` text NOT NULL,
	`updated_at` text NOT NULL,
	`removed_at` text
);
--> statement-breakpoint
ALTER TABLE `ledger` ADD `part` text;--> statement-breakpoint
ALTER TABLE `stock` ADD `parts` text DEFAULT '{}' NOT NULL;--> statement-breakpoint
ALTER TABLE `supplies` ADD `number` integer DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE `supplies` ADD `facts` text DEFAULT '{}' NOT NULL;--> statement-breakpoint
UPDATE `supplies` SET `number` = rowid;
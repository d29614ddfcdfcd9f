CREATE TABLE `changes` (
	`id` text PRIMARY KEY NOT NULL,
	`at` text NOT NULL,
	`kind` text NOT NULL,
	`name` text NOT NULL,
	`count` integer NOT NULL,
	`inverse` text NOT NULL,
	`undone_by` text
);
--> statement-breakpoint
CREATE TABLE `ledger` (
	`seq` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`id` text NOT NULL,
	`supply_id` text NOT NULL,
	`at` text NOT NULL,
	`act` text NOT NULL,
	`amount` integer,
	`items` integer,
	`left` integer,
	`undoes` text,
	FOREIGN KEY (`supply_id`) REFERENCES `supplies`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `ledger_id_unique` ON `ledger` (`id`);--> statement-breakpoint
CREATE INDEX `ledger_by_supply` ON `ledger` (`supply_id`,`seq`);--> statement-breakpoint
CREATE TABLE `placements` (
	`supply_id` text PRIMARY KEY NOT NULL,
	`unit_id` text NOT NULL,
	`slot` integer NOT NULL,
	FOREIGN KEY (`supply_id`) REFERENCES `supplies`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`unit_id`) REFERENCES `units`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `one_supply_a_slot` ON `placements` (`unit_id`,`slot`);--> statement-breakpoint
CREATE TABLE `settings` (
	`key` text PRIMARY KEY NOT NULL,
	`value` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `snapshots` (
	`id` text PRIMARY KEY NOT NULL,
	`at` text NOT NULL,
	`document` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `stock` (
	`supply_id` text PRIMARY KEY NOT NULL,
	`items` integer NOT NULL,
	`left` integer NOT NULL,
	`state` text NOT NULL,
	`uses` integer NOT NULL,
	`last_used_at` text,
	FOREIGN KEY (`supply_id`) REFERENCES `supplies`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `supplies` (
	`id` text PRIMARY KEY NOT NULL,
	`version` integer NOT NULL,
	`kind` text NOT NULL,
	`form` text NOT NULL,
	`name` text NOT NULL,
	`maker` text NOT NULL,
	`range` text NOT NULL,
	`code` text NOT NULL,
	`hex` text NOT NULL,
	`finish` text NOT NULL,
	`family_override` text,
	`family_reason` text NOT NULL,
	`note` text NOT NULL,
	`created_at` text NOT NULL,
	`updated_at` text NOT NULL,
	`removed_at` text
);
--> statement-breakpoint
CREATE TABLE `units` (
	`id` text PRIMARY KEY NOT NULL,
	`version` integer NOT NULL,
	`position` integer NOT NULL,
	`letter` text NOT NULL,
	`name` text NOT NULL,
	`template` text NOT NULL,
	`rows` integer NOT NULL,
	`columns` integer NOT NULL,
	`slot_width_um` integer NOT NULL,
	`slot_height_um` integer NOT NULL,
	`slot_depth_um` integer NOT NULL,
	`removed_at` text
);

CREATE TABLE `commands` (
	`id` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`at` text NOT NULL,
	`answer` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `events` (
	`seq` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`id` text NOT NULL,
	`change_id` text NOT NULL,
	`supply_id` text NOT NULL,
	`at` text NOT NULL,
	`recorded_at` text NOT NULL,
	`act` text NOT NULL,
	`detail` text NOT NULL,
	`undoes` text,
	FOREIGN KEY (`supply_id`) REFERENCES `supplies`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `event_id` ON `events` (`id`);--> statement-breakpoint
CREATE INDEX `events_by_supply` ON `events` (`supply_id`);--> statement-breakpoint
CREATE INDEX `events_by_change` ON `events` (`change_id`);--> statement-breakpoint
CREATE INDEX `events_undoing` ON `events` (`undoes`);--> statement-breakpoint
CREATE TABLE `holdings` (
	`id` text PRIMARY KEY NOT NULL,
	`version` integer NOT NULL,
	`supply_id` text NOT NULL,
	`as` text NOT NULL,
	`width_um` integer,
	`height_um` integer,
	`unit_id` text,
	`cell` integer,
	`rank` integer NOT NULL,
	FOREIGN KEY (`supply_id`) REFERENCES `supplies`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`unit_id`) REFERENCES `units`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `holdings_by_supply` ON `holdings` (`supply_id`);--> statement-breakpoint
CREATE INDEX `holdings_by_unit` ON `holdings` (`unit_id`);--> statement-breakpoint
CREATE UNIQUE INDEX `one_lot_a_cell` ON `holdings` (`unit_id`,`cell`,`rank`);--> statement-breakpoint
CREATE TABLE `postings` (
	`event_seq` integer NOT NULL,
	`holding_id` text NOT NULL,
	`items` integer NOT NULL,
	`left` integer NOT NULL,
	`how` text NOT NULL,
	FOREIGN KEY (`event_seq`) REFERENCES `events`(`seq`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`holding_id`) REFERENCES `holdings`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `postings_by_event` ON `postings` (`event_seq`);--> statement-breakpoint
CREATE INDEX `postings_by_lot` ON `postings` (`holding_id`);--> statement-breakpoint
CREATE TABLE `shifts` (
	`event_seq` integer NOT NULL,
	`holding_id` text NOT NULL,
	`from_unit` text,
	`from_cell` integer,
	`from_rank` integer NOT NULL,
	`to_unit` text,
	`to_cell` integer,
	`to_rank` integer NOT NULL,
	FOREIGN KEY (`event_seq`) REFERENCES `events`(`seq`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`holding_id`) REFERENCES `holdings`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `shifts_by_event` ON `shifts` (`event_seq`);--> statement-breakpoint
CREATE INDEX `shifts_by_lot` ON `shifts` (`holding_id`);--> statement-breakpoint
CREATE TABLE `tallies` (
	`holding_id` text PRIMARY KEY NOT NULL,
	`items` integer NOT NULL,
	`left` integer NOT NULL,
	FOREIGN KEY (`holding_id`) REFERENCES `holdings`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `units` (
	`id` text PRIMARY KEY NOT NULL,
	`version` integer NOT NULL,
	`parent_id` text,
	`sort` text NOT NULL,
	`position` integer NOT NULL,
	`label` text NOT NULL,
	`name` text NOT NULL,
	`model` text,
	`rules` text NOT NULL,
	`facts` text NOT NULL,
	`removed_at` text
);
--> statement-breakpoint
CREATE UNIQUE INDEX `one_letter_a_unit` ON `units` (`label`) WHERE "units"."removed_at" is null and "units"."sort" = 'unit';--> statement-breakpoint
CREATE TABLE `usage` (
	`supply_id` text PRIMARY KEY NOT NULL,
	`uses` integer NOT NULL,
	`used` integer NOT NULL,
	`last_used_at` text,
	FOREIGN KEY (`supply_id`) REFERENCES `supplies`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
ALTER TABLE `changes` ADD `seq` integer DEFAULT 0 NOT NULL;--> statement-breakpoint
CREATE INDEX `changes_in_order` ON `changes` (`seq`);--> statement-breakpoint
ALTER TABLE `supplies` ADD `seq` integer DEFAULT 0 NOT NULL;
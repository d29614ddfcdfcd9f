CREATE TABLE `snapshot_pieces` (
	`n` integer PRIMARY KEY NOT NULL,
	`id` text NOT NULL,
	`piece` text NOT NULL
);
--> statement-breakpoint
INSERT INTO `snapshot_pieces` (`id`, `piece`) SELECT `id`, `document` FROM `snapshots`;

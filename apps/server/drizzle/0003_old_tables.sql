ALTER TABLE `placements` RENAME TO `old_placements`;
--> statement-breakpoint
ALTER TABLE `ledger` RENAME TO `old_ledger`;
--> statement-breakpoint
ALTER TABLE `units` RENAME TO `old_units`;
--> statement-breakpoint
DROP TABLE `stock`;

INSERT INTO settings VALUES ('roomName', 'Attic');
INSERT INTO supplies (id, version, kind, form, name, maker, range, code, hex, finish, family_override, family_reason, note, created_at, updated_at, removed_at) VALUES
 ('s-pad', 1, 'ink', 'full-pad', 'Fern Gate', 'Hollin & Quay', '', '', '#4c9a52', 'matte', NULL, '', '', '2026-01-01T00:00:00.000Z', '2026-01-01T00:00:00.000Z', NULL),
 ('s-card', 1, 'cardstock', 'sheet-12', 'Quiet White', '', '', '', '#f6f4ee', 'matte', NULL, '', '', '2026-01-01T00:00:00.000Z', '2026-01-02T00:00:00.000Z', NULL),
 ('s-gone', 2, 'ribbon', 'spool', 'Old Lace', '', '', '', '#b03060', 'matte', NULL, '', '', '2026-01-01T00:00:00.000Z', '2026-01-03T00:00:00.000Z', '2026-01-03T00:00:00.000Z');
INSERT INTO units (id, version, position, letter, name, template, rows, columns, slot_width_um, slot_height_um, slot_depth_um, removed_at) VALUES
 ('u-rack', 1, 0, 'A', 'Pad rack', 'pad-rack', 2, 3, 102000, 22000, 70000, NULL),
 ('u-down', 2, 1, 'B', 'Marker tray', 'marker-tray', 1, 4, 18000, 18000, 140000, '2026-01-03T00:00:00.000Z');
INSERT INTO ledger (id, supply_id, at, act, amount, items, "left", undoes) VALUES
 ('l1', 's-pad', '2026-01-01T00:00:00.000Z', 'count', NULL, 1, 60, NULL),
 ('l2', 's-card', '2026-01-01T00:00:00.000Z', 'count', NULL, 20, 20, NULL),
 ('l3', 's-pad', '2026-01-02T00:00:00.000Z', 'use', 5, NULL, NULL, NULL),
 ('l4', 's-card', '2026-01-02T00:00:00.000Z', 'use', 3, NULL, NULL, NULL),
 ('l5', 's-card', '2026-01-02T01:00:00.000Z', 'undo', NULL, NULL, NULL, 'l4'),
 ('l6', 's-pad', '2026-01-03T00:00:00.000Z', 'buy', 1, NULL, NULL, NULL);
INSERT INTO stock (supply_id, items, "left", state, uses, last_used_at) VALUES
 ('s-pad', 2, 115, 'ok', 1, '2026-01-02T00:00:00.000Z'),
 ('s-card', 20, 20, 'ok', 0, NULL);
INSERT INTO placements VALUES ('s-pad', 'u-rack', 4);
INSERT INTO changes (id, at, kind, name, count, inverse, undone_by) VALUES
 ('c1', '2026-01-02T00:00:00.000Z', 'act', 'Fern Gate', 1, '{"supplies":[],"units":[],"places":[],"ledger":[{"id":"l3","supplyId":"s-pad"}]}', NULL),
 ('c2', '2026-01-03T00:00:00.000Z', 'place', 'Fern Gate', 1, '{"supplies":[],"units":[],"places":[{"supplyId":"s-pad","before":{"unitId":"u-rack","slot":0},"after":{"unitId":"u-rack","slot":4}}],"ledger":[]}', NULL);

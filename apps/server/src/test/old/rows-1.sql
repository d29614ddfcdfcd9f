UPDATE supplies SET facts = '{"tags":["attic"],"spares":1}', number = 7 WHERE id = 's-pad';
INSERT INTO ledger (id, supply_id, at, act, amount, items, "left", part, undoes) VALUES
 ('m1', 's-card', '2026-02-01T00:00:00.000Z', 'buy', 2, NULL, NULL, 'packs', NULL),
 ('m2', 's-card', '2026-02-02T00:00:00.000Z', 'open', 1, NULL, 25, NULL, NULL),
 ('m3', 's-card', '2026-02-03T00:00:00.000Z', 'cut', 4, 6, 2, NULL, NULL);
INSERT INTO records VALUES ('r1', 1, 'group', '{"sort":"group","what":"kit","name":"Attic kit","note":"","source":"","acquiredOn":null,"members":[{"supplyId":"s-card","amount":2}],"matches":[],"dissolvedOn":null}', '2026-02-01T00:00:00.000Z', '2026-02-01T00:00:00.000Z', NULL);

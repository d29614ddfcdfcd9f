UPDATE units SET facts = '{"cap":5,"filling":"snake","skipColumns":[2],"reach":"near"}' WHERE id = 'u-rack';

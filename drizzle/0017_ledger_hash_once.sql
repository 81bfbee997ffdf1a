DROP TRIGGER `ledger_in_order`;
--> statement-breakpoint
CREATE TRIGGER `ledger_in_order` BEFORE INSERT ON `ledger`
WHEN NEW.seq <> (SELECT coalesce(max(seq), 0) + 1 FROM ledger)
  OR NEW.previous_hash <> coalesce((SELECT hash FROM ledger ORDER BY seq DESC LIMIT 1), '0000000000000000000000000000000000000000000000000000000000000000')
  OR EXISTS (SELECT 1 FROM ledger WHERE hash = NEW.hash OR previous_hash = NEW.previous_hash)
BEGIN SELECT RAISE(ABORT, 'ledger entry out of order'); END;

-- Facts are appended, never changed: the database itself refuses.
CREATE TRIGGER `ledger_no_update` BEFORE UPDATE ON `ledger` BEGIN SELECT RAISE(ABORT, 'ledger is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `ledger_no_delete` BEFORE DELETE ON `ledger` BEGIN SELECT RAISE(ABORT, 'ledger is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `log_line_no_update` BEFORE UPDATE ON `log_line` BEGIN SELECT RAISE(ABORT, 'log_line is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `log_line_no_delete` BEFORE DELETE ON `log_line` BEGIN SELECT RAISE(ABORT, 'log_line is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `file_no_update` BEFORE UPDATE ON `file` BEGIN SELECT RAISE(ABORT, 'file is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `file_no_delete` BEFORE DELETE ON `file` BEGIN SELECT RAISE(ABORT, 'file is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `master_no_update` BEFORE UPDATE ON `master` BEGIN SELECT RAISE(ABORT, 'master is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `master_no_delete` BEFORE DELETE ON `master` BEGIN SELECT RAISE(ABORT, 'master is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `size_event_no_update` BEFORE UPDATE ON `size_event` BEGIN SELECT RAISE(ABORT, 'size_event is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `size_event_no_delete` BEFORE DELETE ON `size_event` BEGIN SELECT RAISE(ABORT, 'size_event is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `print_file_no_update` BEFORE UPDATE ON `print_file` BEGIN SELECT RAISE(ABORT, 'print_file is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `print_file_no_delete` BEFORE DELETE ON `print_file` BEGIN SELECT RAISE(ABORT, 'print_file is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `proof_round_no_update` BEFORE UPDATE ON `proof_round` BEGIN SELECT RAISE(ABORT, 'proof_round is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `proof_round_no_delete` BEFORE DELETE ON `proof_round` BEGIN SELECT RAISE(ABORT, 'proof_round is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `proof_return_no_update` BEFORE UPDATE ON `proof_return` BEGIN SELECT RAISE(ABORT, 'proof_return is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `proof_return_no_delete` BEFORE DELETE ON `proof_return` BEGIN SELECT RAISE(ABORT, 'proof_return is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `price_no_update` BEFORE UPDATE ON `price` BEGIN SELECT RAISE(ABORT, 'price is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `price_no_delete` BEFORE DELETE ON `price` BEGIN SELECT RAISE(ABORT, 'price is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `finish_no_update` BEFORE UPDATE ON `finish` BEGIN SELECT RAISE(ABORT, 'finish is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `finish_no_delete` BEFORE DELETE ON `finish` BEGIN SELECT RAISE(ABORT, 'finish is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `movement_no_update` BEFORE UPDATE ON `movement` BEGIN SELECT RAISE(ABORT, 'movement is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `movement_no_delete` BEFORE DELETE ON `movement` BEGIN SELECT RAISE(ABORT, 'movement is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `order_event_no_update` BEFORE UPDATE ON `order_event` BEGIN SELECT RAISE(ABORT, 'order_event is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `order_event_no_delete` BEFORE DELETE ON `order_event` BEGIN SELECT RAISE(ABORT, 'order_event is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `document_no_update` BEFORE UPDATE ON `document` BEGIN SELECT RAISE(ABORT, 'document is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `document_no_delete` BEFORE DELETE ON `document` BEGIN SELECT RAISE(ABORT, 'document is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `edition_no_update` BEFORE UPDATE ON `edition` BEGIN SELECT RAISE(ABORT, 'edition is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `edition_no_delete` BEFORE DELETE ON `edition` BEGIN SELECT RAISE(ABORT, 'edition is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `ledger_in_order` BEFORE INSERT ON `ledger`
WHEN NEW.seq <> (SELECT coalesce(max(seq), 0) + 1 FROM ledger)
  OR NEW.previous_hash <> coalesce((SELECT hash FROM ledger ORDER BY seq DESC LIMIT 1), '0000000000000000000000000000000000000000000000000000000000000000')
BEGIN SELECT RAISE(ABORT, 'ledger entry out of order'); END;

-- A line is sold on the day that it was where the studio is, which its parcel's fact says; facts of before say none.
DROP TRIGGER `sold_line_moved`;
--> statement-breakpoint
DROP TRIGGER `sold_line_reckoned`;
--> statement-breakpoint
CREATE TRIGGER `sold_line_moved` AFTER UPDATE OF state ON `line_now` WHEN NEW.shipped_at IS NOT NULL
BEGIN
  DELETE FROM sold_line WHERE line_id = NEW.line_id;
  INSERT INTO sold_line (line_id, work_id, what, size_key, channel, currency, month, sold, gross_minor, net_minor, postage_minor, unreckoned, usual_fees)
    SELECT l.id, coalesce(l.work_id, 0), CASE WHEN l.work_id IS NULL THEN coalesce(l.name, '') ELSE '' END,
      coalesce(l.size_key, ''), o.channel, l.currency, substr(coalesce((SELECT e.payload ->> 'on' FROM order_event e
        WHERE e.order_id = n.order_id AND e.kind = 'shipped' AND e.parcel_id = n.parcel_id LIMIT 1), n.shipped_at), 1, 7),
      CASE n.state WHEN 'returned' THEN 0 ELSE 1 END * l.quantity,
      n.price_minor - n.refund_minor,
      coalesce((n.price_minor - n.refund_minor) - (CASE n.state WHEN 'returned' THEN 0 ELSE 1 END * s.cost_minor + CAST(round(s.fees_minor * CASE WHEN n.price_minor = 0 THEN 1.0 ELSE (n.price_minor - n.refund_minor) * 1.0 / n.price_minor END) AS integer)) - s.postage_minor, 0),
      coalesce(s.postage_minor, 0),
      CASE WHEN (CASE n.state WHEN 'returned' THEN 0 ELSE 1 END * s.cost_minor + CAST(round(s.fees_minor * CASE WHEN n.price_minor = 0 THEN 1.0 ELSE (n.price_minor - n.refund_minor) * 1.0 / n.price_minor END) AS integer)) IS NULL THEN l.quantity ELSE 0 END,
      CASE WHEN s.basis = 'usual' THEN l.quantity ELSE 0 END
    FROM line_now n JOIN order_line l ON l.id = n.line_id JOIN orders o ON o.id = l.order_id
    LEFT JOIN line_sale s ON s.id = (SELECT max(x.id) FROM line_sale x WHERE x.line_id = n.line_id)
    WHERE n.shipped_at IS NOT NULL AND n.line_id = NEW.line_id;
END;
--> statement-breakpoint
CREATE TRIGGER `sold_line_reckoned` AFTER INSERT ON `line_sale`
BEGIN
  DELETE FROM sold_line WHERE line_id = NEW.line_id;
  INSERT INTO sold_line (line_id, work_id, what, size_key, channel, currency, month, sold, gross_minor, net_minor, postage_minor, unreckoned, usual_fees)
    SELECT l.id, coalesce(l.work_id, 0), CASE WHEN l.work_id IS NULL THEN coalesce(l.name, '') ELSE '' END,
      coalesce(l.size_key, ''), o.channel, l.currency, substr(coalesce((SELECT e.payload ->> 'on' FROM order_event e
        WHERE e.order_id = n.order_id AND e.kind = 'shipped' AND e.parcel_id = n.parcel_id LIMIT 1), n.shipped_at), 1, 7),
      CASE n.state WHEN 'returned' THEN 0 ELSE 1 END * l.quantity,
      n.price_minor - n.refund_minor,
      coalesce((n.price_minor - n.refund_minor) - (CASE n.state WHEN 'returned' THEN 0 ELSE 1 END * s.cost_minor + CAST(round(s.fees_minor * CASE WHEN n.price_minor = 0 THEN 1.0 ELSE (n.price_minor - n.refund_minor) * 1.0 / n.price_minor END) AS integer)) - s.postage_minor, 0),
      coalesce(s.postage_minor, 0),
      CASE WHEN (CASE n.state WHEN 'returned' THEN 0 ELSE 1 END * s.cost_minor + CAST(round(s.fees_minor * CASE WHEN n.price_minor = 0 THEN 1.0 ELSE (n.price_minor - n.refund_minor) * 1.0 / n.price_minor END) AS integer)) IS NULL THEN l.quantity ELSE 0 END,
      CASE WHEN s.basis = 'usual' THEN l.quantity ELSE 0 END
    FROM line_now n JOIN order_line l ON l.id = n.line_id JOIN orders o ON o.id = l.order_id
    LEFT JOIN line_sale s ON s.id = (SELECT max(x.id) FROM line_sale x WHERE x.line_id = n.line_id)
    WHERE n.shipped_at IS NOT NULL AND n.line_id = NEW.line_id;
END;

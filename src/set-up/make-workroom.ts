import { sql } from 'drizzle-orm';
import { migrate } from 'drizzle-orm/node-postgres/migrator';
import { connect, type Transaction } from '@/db';
import { insertDemo } from '@/db/demo';
import { emptyTables } from '@/db/empty';

// A workroom of made-up data as large as one likes, for measuring: node dist/make-workroom.mjs ORDERS [ITEMS MOVEMENTS].

const CLOTHS = 200;
/** One line in this many is in a batch; the others wait. */
const BATCHED = 4;
const LINES_A_BATCH = 30;

/** A whole number as it stands in a statement. */
const whole = (number: number) => sql.raw(String(Math.trunc(number)));

async function main() {
  const [orders, items = 0, movements = 0] = process.argv.slice(2).map(Number) as [number, number?, number?];
  const { db, close } = connect();
  try {
    await migrate(db, { migrationsFolder: 'src/db/migrations' });
    await db.transaction(async (tx) => {
      await emptyTables(tx);
      await tx.execute(sql`INSERT INTO settings (key, value) VALUES ('workroom', '{"demo": false}')`);
      // The demo's cloths are the patterns that the others vary.
      await insertDemo(tx, new Date());
      await tx.execute(sql`TRUNCATE orders, batches, stock_items RESTART IDENTITY CASCADE`);
      await tx.execute(sql`
        INSERT INTO cloths (name, units, width_nm, selvage_left_nm, selvage_right_nm, repeat_across_nm, repeat_along_nm, drop_part, turns,
          pattern, ground_colour, figure_colour, price_minor, currency, price_per, selling_step_nm)
        SELECT c.name || ' no. ' || n, c.units, c.width_nm, c.selvage_left_nm, c.selvage_right_nm, c.repeat_across_nm, c.repeat_along_nm,
          c.drop_part, c.turns, c.pattern, c.ground_colour, c.figure_colour, c.price_minor + n, c.currency, c.price_per, c.selling_step_nm
        FROM generate_series(1, ${whole(CLOTHS - 12)}) n JOIN cloths c ON c.id = 1 + n % 12`);
      await tx.execute(sql`
        INSERT INTO customers (name) SELECT 'Berth ' || n || ' of the long basin' FROM generate_series(1, ${whole(Math.ceil(orders / 4))}) n`);
      const customers = Math.ceil(orders / 4);
      await tx.execute(sql`ALTER TABLE order_lines DISABLE TRIGGER USER`);
      await tx.execute(sql`
        INSERT INTO orders (no, mark, customer_id, due, units, notes)
        SELECT 200 + n, n % 12, 9 + n % ${whole(customers)}, date '2027-01-01' + (n * 7919 % 700 - 350), CASE WHEN n % 3 = 0 THEN 'mm' ELSE 'in' END,
          CASE WHEN n % 5 = 0 THEN 'cabin ' || n ELSE '' END
        FROM generate_series(1, ${whole(orders)}) n`);
      const batches = Math.max(1, Math.floor((2 * orders) / BATCHED / LINES_A_BATCH));
      await tx.execute(sql`
        INSERT INTO batches (name, status, approved_at)
        SELECT 'Cut no. ' || n, (ARRAY['draft', 'laid', 'approved', 'cut', 'cut', 'cut'])[1 + n % 6], now() FROM generate_series(1, ${whole(batches)}) n`);
      await tx.execute(sql`
        INSERT INTO order_lines (order_id, position, kind, kind_version, qty, fit, batch_id)
        SELECT o, p, 'zip-cushion', 2, 1 + (o + p) % 7, 'snug',
          CASE WHEN o % ${whole(BATCHED)} = 0 THEN 1 + (o / ${whole(BATCHED)}) * ${whole(batches)}::bigint / (${whole(orders)} / ${whole(BATCHED)} + 1) END
        FROM generate_series(1, ${whole(orders)}) o, generate_series(1, 2) p`);
      await tx.execute(sql`
        INSERT INTO line_values (line_id, name, is_measure, value_nm, typed)
        SELECT l.id, m.name, true,
          CASE WHEN o.units = 'in' THEN (14 + (l.id * m.k) % 9) * 25400000 ELSE (36 + (l.id * m.k) % 20) * 10000000 END,
          CASE WHEN o.units = 'in' THEN (14 + (l.id * m.k) % 9)::text ELSE (36 + (l.id * m.k) % 20)::text END
        FROM order_lines l JOIN orders o ON o.id = l.order_id, (VALUES ('width', 3), ('height', 5)) AS m (name, k)`);
      await tx.execute(sql`
        INSERT INTO line_cloths (line_id, role, cloth_id) SELECT id, 'face', 1 + (id * 31) % ${whole(CLOTHS)} FROM order_lines`);
      await tx.execute(sql`ALTER TABLE order_lines ENABLE TRIGGER USER`);
      await tx.execute(sql`UPDATE orders SET status = order_status_of(id), kinds = order_kinds_of(id)`);
      if (items > 0) await fillShelf(tx, items, movements);
    });
    await db.execute(sql`VACUUM ANALYZE`);
  } finally {
    await close();
  }
}

/** Bolts of 40 m, every fourth a remnant of 2 m, and as many movements as asked for: each item comes, then is cut piece by piece. */
async function fillShelf(tx: Transaction, items: number, movements: number) {
  const each = Math.max(0, Math.floor(movements / items) - 1);
  await tx.execute(sql`
    INSERT INTO stock_items (sort, cloth_id, lot, width_nm, length_nm, place, supplier, price_minor, currency, price_per, received_at)
    SELECT CASE WHEN n % 4 = 0 THEN 'remnant' ELSE 'bolt' END, 1 + n % ${whole(CLOTHS)}, 'L' || n % 900, 1400000000,
      CASE WHEN n % 4 = 0 THEN 2000000000 ELSE 40000000000 END, 'rack ' || n % 60, 'Mill no. ' || n % 25, 1200 + n % 3000, 'GBP', 'm',
      now() - make_interval(days => n % 700)
    FROM generate_series(1, ${whole(items)}) n`);
  await tx.execute(sql`ALTER TABLE movements DISABLE TRIGGER USER`);
  await tx.execute(sql`
    INSERT INTO movements (item_id, sort, quantity, at, person_id, cause, batch_id)
    SELECT i.id, CASE WHEN k = 0 THEN 'received' WHEN k % 3 = 0 THEN 'wasted' ELSE 'cut' END,
      CASE WHEN k = 0 THEN i.length_nm ELSE i.length_nm / ${whole(2 * each + 2)} END, i.received_at + make_interval(hours => 7 * k), 1 + i.id % 3,
      CASE WHEN k > 0 AND k % 3 = 0 THEN 'offcut' END, CASE WHEN k > 0 AND k % 2 = 0 THEN 1 + (i.id + k) % greatest(1, (SELECT count(*)::int FROM batches)) END
    FROM stock_items i, generate_series(0, ${whole(each)}) k`);
  await tx.execute(sql`ALTER TABLE movements ENABLE TRIGGER USER`);
  await tx.execute(sql`SELECT sum_movements()`);
  await tx.execute(sql`
    UPDATE stock_items i SET is_opened = ${sql.raw(each > 0 ? 'true' : 'false')},
      on_hand = (SELECT sum(CASE WHEN m.sort = 'received' THEN m.quantity ELSE -m.quantity END) FROM movements m WHERE m.item_id = i.id)`);
}

await main();

/**
 * Every table once: what it is, what guards it, and who reads it. A test holds this against
 * the database as all migrations leave it.
 *
 * `fact`: rows are added, never changed; triggers refuse UPDATE, DELETE and the replacing of
 * a row. `edited`: changed by hand, with undo. `derived`: kept by triggers from the facts,
 * can be made anew. `running`: what is being done; means nothing once it is done.
 */
export interface Registered {
  kind: 'fact' | 'edited' | 'derived' | 'running';
  /** Columns that name files of the store, by their hash. */
  files?: readonly string[];
  /** Columns with a hash that names no stored file, and what it names instead. */
  otherHashes?: Readonly<Record<string, string>>;
  /** Written out by the export. */
  exported: boolean;
  /** Found by typing. */
  searched?: boolean;
  /** A step of it can be taken back. */
  undone?: boolean;
  /** Columns that are a key beside the primary one. */
  versioned?: readonly string[];
}

const fact = (more: Omit<Partial<Registered>, 'kind'> = {}): Registered => ({
  kind: 'fact',
  exported: true,
  ...more,
});
const edited = (more: Omit<Partial<Registered>, 'kind'> = {}): Registered => ({
  kind: 'edited',
  exported: true,
  undone: true,
  ...more,
});
const derived: Registered = { kind: 'derived', exported: false };
const running: Registered = { kind: 'running', exported: false };

export const REGISTER: Readonly<Record<string, Registered>> = {
  // Settings
  setting: edited(),
  // Work
  work: edited({ searched: true }),
  // Capture
  device: edited(),
  file: fact({ files: ['sha256'] }),
  master: fact({
    files: ['sha256'],
    otherHashes: { picture: 'pixels, tiles and preview, which can be made again' },
  }),
  print_wish: fact(),
  reading: fact({ files: ['sha256'] }),
  speck_event: fact({ files: ['sha256'] }),
  signature: fact(),
  board_shot: fact({ otherHashes: { sha256: 'a photograph that is measured, not kept' } }),
  // Size
  size_event: fact({ undone: true, versioned: ['layout'] }),
  crop_choice: fact({ undone: true }),
  kept_area: fact(),
  // Prepare
  recipe: fact({ versioned: ['recipe'] }),
  profile: fact({ files: ['sha256'] }),
  sheet_file: fact({ files: ['sha256', 'pdf_sha256'] }),
  sheet_item: fact(),
  print_file: fact({ files: ['sha256'], versioned: ['recipe'] }),
  route: fact(),
  errand: fact(),
  errand_item: fact(),
  errand_sheet: fact(),
  errand_answer: fact(),
  errand_arrival: fact(),
  // Paper, packing material, what is left of them
  paper: edited({ searched: true }),
  paper_note: fact({ files: ['photograph'] }),
  paper_format: fact(),
  profile_use: fact({ otherHashes: { sha256: 'a profile, whose row names the file' } }),
  material: edited(),
  movement: fact(),
  lot: fact(),
  lot_use: fact(),
  purchase: fact(),
  purchase_end: fact(),
  // Printers and their inks
  printer: edited(),
  printer_ink: edited(),
  ink_event: fact(),
  ink_demand: fact({
    versioned: ['stats'],
    otherHashes: { sha256: 'a print file or sheet, whose row names the file' },
  }),
  // Sheets to cut
  sheet_plan: fact(),
  sheet_plan_state: fact({ versioned: ['state'] }),
  printed_sheet: fact(),
  printed_piece: fact(),
  piece_fate: fact(),
  sheet_undone: fact(),
  // Proof
  proof_round: fact({
    versioned: ['recipe'],
    otherHashes: { profile_sha256: 'a profile, whose row names the file' },
  }),
  proof_return: fact(),
  proof_reading: fact(),
  proof_customer: fact(),
  proof_photograph: fact({ files: ['sha256'] }),
  proof_placing: fact(),
  light_set_up: fact(),
  // Edition
  edition: fact(),
  ledger: fact({
    otherHashes: {
      hash: 'the entry itself, in its chain',
      previous_hash: 'the entry before it',
    },
  }),
  // Price, finish
  price: fact({ versioned: ['input'] }),
  price_list: fact({ versioned: ['list'] }),
  price_ladder: fact({ versioned: ['terms'] }),
  channel_terms: fact({ versioned: ['terms'] }),
  expense: fact(),
  consignment: fact({ versioned: ['terms'] }),
  consigned_print: fact(),
  consigned_end: fact(),
  finish: fact({ versioned: ['input'] }),
  // Order
  customer: edited({ searched: true }),
  orders: fact({ searched: true }),
  order_line: fact(),
  order_event: fact(),
  line_sale: fact(),
  // Parcel
  parcel: fact(),
  sealed_parcel: fact({ versioned: ['contents'] }),
  booking: fact(),
  booking_event: fact(),
  document: fact({ files: ['sha256'] }),
  // Log book
  print_entry: fact({ searched: true, versioned: ['recipe'] }),
  entry_item: fact(),
  print_opinion: fact({ files: ['photograph'] }),
  log_line: fact(),
  // Running
  job: running,
  undo_step: running,
  carried: running,
  // Derived
  edition_now: derived,
  impression_now: derived,
  order_now: derived,
  line_now: derived,
  parcel_now: derived,
  size_now: derived,
  price_now: derived,
  master_now: derived,
  stock_now: derived,
  lot_now: derived,
  proof_cost_now: derived,
  proof_out: derived,
  sale_month: derived,
  sale_now: derived,
  sold_line: derived,
  tally: derived,
  work_lack: derived,
  open_size: derived,
  work_now: derived,
  customer_now: derived,
  work_search: derived,
  paper_search: derived,
  order_search: derived,
  customer_search: derived,
  print_search: derived,
};

export const tablesThat = (holds: (r: Registered) => boolean): string[] =>
  Object.entries(REGISTER)
    .filter(([, r]) => holds(r))
    .map(([name]) => name);

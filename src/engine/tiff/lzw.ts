const CLEAR = 256;
const END = 257;
const FIRST = 258;
const MOST_BITS = 12;
/** The code at which the table is emptied, before it needs a thirteenth bit. */
const FULL = (1 << MOST_BITS) - 2;
const SLOTS = 1 << 14;

/** Compresses one strip as TIFF 6.0 (section 13) asks: codes of 9 to 12 bits, high bits first. */
export function lzw(data: Uint8Array): Uint8Array {
  const out = new Uint8Array(Math.ceil(data.length * 1.6) + 16);
  // Pairs of a code and the byte behind it, hashed; the value is the code of both.
  const keys = new Int32Array(SLOTS);
  const codes = new Uint16Array(SLOTS);
  let at = 0;
  let bits = 0;
  let held = 0;
  let width = 9;
  let next = FIRST;
  const put = (code: number) => {
    held = (held << width) | code;
    bits += width;
    while (bits >= 8) {
      bits -= 8;
      out[at] = (held >>> bits) & 255;
      at += 1;
    }
    held &= (1 << bits) - 1;
  };
  const clear = () => {
    put(CLEAR);
    keys.fill(-1);
    width = 9;
    next = FIRST;
  };
  const grow = () => {
    if (next === FULL) clear();
    else if (next === 1 << width) width += 1;
  };
  clear();
  let prefix = data[0] ?? -1;
  for (let i = 1; i < data.length; i += 1) {
    const byte = data[i]!;
    const key = (prefix << 8) | byte;
    let slot = ((byte << 6) ^ (prefix * 7)) & (SLOTS - 1);
    while (keys[slot] !== -1 && keys[slot] !== key) slot = (slot + 1) & (SLOTS - 1);
    if (keys[slot] === key) {
      prefix = codes[slot]!;
      continue;
    }
    put(prefix);
    keys[slot] = key;
    codes[slot] = next;
    next += 1;
    grow();
    prefix = byte;
  }
  if (prefix >= 0) {
    put(prefix);
    next += 1;
    grow();
  }
  put(END);
  if (bits > 0) {
    out[at] = (held << (8 - bits)) & 255;
    at += 1;
  }
  return out.subarray(0, at);
}

;; Sums over rows, and encodings of rows, of 32-bit floats, four at a time (WebAssembly with 128-bit SIMD).
;; `npm run simd` assembles this into rowsWasm.ts. Lengths and places are in bytes.
(module
  (memory (export "memory") 1)

  ;; out[i] = the sum over k of weights[k] * rows[k][i].
  ;; rows: place of the first row; stride: from one row to the next; length: of a row, a multiple of 16.
  (func (export "weighedSum")
    (param $rows i32) (param $stride i32) (param $weights i32) (param $count i32)
    (param $out i32) (param $length i32)
    (local $i i32) (local $at i32) (local $weight i32) (local $end i32) (local $sum v128)
    (local.set $end
      (i32.add (local.get $weights) (i32.shl (local.get $count) (i32.const 2))))
    (loop $pixels
      (local.set $sum (v128.const f32x4 0 0 0 0))
      (local.set $at (i32.add (local.get $rows) (local.get $i)))
      (local.set $weight (local.get $weights))
      (loop $terms
        (local.set $sum
          (f32x4.add
            (local.get $sum)
            (f32x4.mul
              (v128.load (local.get $at))
              (v128.load32_splat (local.get $weight)))))
        (local.set $at (i32.add (local.get $at) (local.get $stride)))
        (local.set $weight (i32.add (local.get $weight) (i32.const 4)))
        (br_if $terms (i32.lt_u (local.get $weight) (local.get $end))))
      (v128.store (i32.add (local.get $out) (local.get $i)) (local.get $sum))
      (local.set $i (i32.add (local.get $i) (i32.const 16)))
      (br_if $pixels (i32.lt_u (local.get $i) (local.get $length)))))

  ;; Pixels of three samples along a row: out[i] = the sum over k < taps of
  ;; weights[i * taps + k] * row[first[i] + k]. The fourth lane is the next pixel's, and is
  ;; written over by it: row and out have room for one sample more.
  (func (export "across")
    (param $row i32) (param $first i32) (param $weights i32) (param $taps i32)
    (param $out i32) (param $count i32)
    (local $at i32) (local $end i32) (local $last i32) (local $sum v128)
    (local.set $last
      (i32.add (local.get $first) (i32.shl (local.get $count) (i32.const 2))))
    (loop $pixels
      (local.set $sum (v128.const f32x4 0 0 0 0))
      (local.set $at
        (i32.add
          (local.get $row)
          (i32.mul (i32.load (local.get $first)) (i32.const 12))))
      (local.set $end
        (i32.add (local.get $weights) (i32.shl (local.get $taps) (i32.const 2))))
      (loop $terms
        (local.set $sum
          (f32x4.add
            (local.get $sum)
            (f32x4.mul
              (v128.load (local.get $at))
              (v128.load32_splat (local.get $weights)))))
        (local.set $at (i32.add (local.get $at) (i32.const 12)))
        (local.set $weights (i32.add (local.get $weights) (i32.const 4)))
        (br_if $terms (i32.lt_u (local.get $weights) (local.get $end))))
      (v128.store (local.get $out) (local.get $sum))
      (local.set $out (i32.add (local.get $out) (i32.const 12)))
      (local.set $first (i32.add (local.get $first) (i32.const 4)))
      (br_if $pixels (i32.lt_u (local.get $first) (local.get $last)))))

  ;; Linear light to encoded values by CIE lightness, in place, both 0..65535, mirrored below 0:
  ;; up to `toe` light x `slope`, else `scale` x its cube root - `less`. The cube root is guessed
  ;; from a third of the exponent and made exact by two steps of Halley's.
  (func (export "encode")
    (param $at i32) (param $end i32)
    (param $toe f32) (param $slope f32) (param $scale f32) (param $less f32)
    (local $v v128) (local $a v128) (local $y v128) (local $t v128)
    (loop $pixels
      (local.set $v (v128.load (local.get $at)))
      (local.set $a (f32x4.abs (local.get $v)))
      (local.set $y
        (i32x4.add
          (i32x4.trunc_sat_f32x4_s
            (f32x4.mul
              (f32x4.convert_i32x4_s (local.get $a))
              (f32x4.splat (f32.const 0.333333333))))
          (i32x4.splat (i32.const 0x2a5119f2))))
      (local.set $t
        (f32x4.mul (f32x4.mul (local.get $y) (local.get $y)) (local.get $y)))
      (local.set $y
        (f32x4.div
          (f32x4.mul
            (local.get $y)
            (f32x4.add (local.get $t) (f32x4.add (local.get $a) (local.get $a))))
          (f32x4.add (f32x4.add (local.get $t) (local.get $t)) (local.get $a))))
      (local.set $t
        (f32x4.mul (f32x4.mul (local.get $y) (local.get $y)) (local.get $y)))
      (local.set $y
        (f32x4.div
          (f32x4.mul
            (local.get $y)
            (f32x4.add (local.get $t) (f32x4.add (local.get $a) (local.get $a))))
          (f32x4.add (f32x4.add (local.get $t) (local.get $t)) (local.get $a))))
      (v128.store
        (local.get $at)
        (v128.or
          (v128.bitselect
            (f32x4.sub
              (f32x4.mul (local.get $y) (f32x4.splat (local.get $scale)))
              (f32x4.splat (local.get $less)))
            (f32x4.mul (local.get $a) (f32x4.splat (local.get $slope)))
            (f32x4.gt (local.get $a) (f32x4.splat (local.get $toe))))
          (v128.and (local.get $v) (v128.const i32x4 0x80000000 0x80000000 0x80000000 0x80000000))))
      (local.set $at (i32.add (local.get $at) (i32.const 16)))
      (br_if $pixels (i32.lt_u (local.get $at) (local.get $end)))))

  ;; The other way: up to `toe` value x `slope`, else the cube of (value x `scale` + `more`).
  (func (export "decode")
    (param $at i32) (param $end i32)
    (param $toe f32) (param $slope f32) (param $scale f32) (param $more f32)
    (local $v v128) (local $a v128) (local $y v128)
    (loop $pixels
      (local.set $v (v128.load (local.get $at)))
      (local.set $a (f32x4.abs (local.get $v)))
      (local.set $y
        (f32x4.add
          (f32x4.mul (local.get $a) (f32x4.splat (local.get $scale)))
          (f32x4.splat (local.get $more))))
      (v128.store
        (local.get $at)
        (v128.or
          (v128.bitselect
            (f32x4.mul (f32x4.mul (local.get $y) (local.get $y)) (local.get $y))
            (f32x4.mul (local.get $a) (f32x4.splat (local.get $slope)))
            (f32x4.gt (local.get $a) (f32x4.splat (local.get $toe))))
          (v128.and (local.get $v) (v128.const i32x4 0x80000000 0x80000000 0x80000000 0x80000000))))
      (local.set $at (i32.add (local.get $at) (i32.const 16)))
      (br_if $pixels (i32.lt_u (local.get $at) (local.get $end)))))

  ;; Pixels of three encoded values to where a target's tables are looked up: decoded as above to light
  ;; 0..1, through a matrix (three columns of four floats), what is less than `noise` x the light
  ;; of the pixel is none, and its square root x `points`, within the table. Row and out have
  ;; room for one sample more.
  (func (export "places")
    (param $at i32) (param $out i32) (param $end i32) (param $matrix i32)
    (param $toe f32) (param $slope f32) (param $scale f32) (param $more f32)
    (param $noise f32) (param $points f32)
    (local $v v128) (local $a v128) (local $y v128)
    (local $r v128) (local $g v128) (local $b v128)
    (loop $pixels
      (local.set $v (v128.load (local.get $at)))
      (local.set $a (f32x4.abs (local.get $v)))
      (local.set $y
        (f32x4.add
          (f32x4.mul (local.get $a) (f32x4.splat (local.get $scale)))
          (f32x4.splat (local.get $more))))
      (local.set $v
        (v128.or
          (v128.bitselect
            (f32x4.mul (f32x4.mul (local.get $y) (local.get $y)) (local.get $y))
            (f32x4.mul (local.get $a) (f32x4.splat (local.get $slope)))
            (f32x4.gt (local.get $a) (f32x4.splat (local.get $toe))))
          (v128.and (local.get $v) (v128.const i32x4 0x80000000 0x80000000 0x80000000 0x80000000))))
      (local.set $r (i8x16.shuffle 0 1 2 3 0 1 2 3 0 1 2 3 0 1 2 3 (local.get $v) (local.get $v)))
      (local.set $g (i8x16.shuffle 4 5 6 7 4 5 6 7 4 5 6 7 4 5 6 7 (local.get $v) (local.get $v)))
      (local.set $b (i8x16.shuffle 8 9 10 11 8 9 10 11 8 9 10 11 8 9 10 11 (local.get $v) (local.get $v)))
      (local.set $v
        (f32x4.add
          (f32x4.add
            (f32x4.mul (local.get $r) (v128.load (local.get $matrix)))
            (f32x4.mul (local.get $g) (v128.load offset=16 (local.get $matrix))))
          (f32x4.mul (local.get $b) (v128.load offset=32 (local.get $matrix)))))
      (local.set $a
        (f32x4.mul
          (f32x4.add (f32x4.add (local.get $r) (local.get $g)) (local.get $b))
          (f32x4.splat (local.get $noise))))
      (v128.store
        (local.get $out)
        (f32x4.mul
          (f32x4.sqrt
            (f32x4.min
              (f32x4.max
                (v128.and (local.get $v) (f32x4.ge (local.get $v) (local.get $a)))
                (v128.const f32x4 0 0 0 0))
              (v128.const f32x4 1 1 1 1)))
          (f32x4.splat (local.get $points))))
      (local.set $at (i32.add (local.get $at) (i32.const 12)))
      (local.set $out (i32.add (local.get $out) (i32.const 12)))
      (br_if $pixels (i32.lt_u (local.get $at) (local.get $end))))))

;; Sums over rows of 32-bit floats, four at a time (WebAssembly with 128-bit SIMD).
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
      (br_if $pixels (i32.lt_u (local.get $first) (local.get $last))))))

/* Two times two 64-bit floats as one vector of four numbers. */

/** As 32-bit floats. */
@inline
export function floats4(first: v128, second: v128): v128 {
  return v128.shuffle<i64>(f32x4.demote_f64x2_zero(first), f32x4.demote_f64x2_zero(second), 0, 2);
}

/** As 32-bit whole numbers, without what is behind the point. */
@inline
export function wholes4(first: v128, second: v128): v128 {
  return v128.shuffle<i64>(i32x4.trunc_sat_f64x2_s_zero(first), i32x4.trunc_sat_f64x2_s_zero(second), 0, 2);
}

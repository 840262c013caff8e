/** How far back a repeat can reach (RFC 1951, 2). */
export const reach: i32 = 32768;
/** How many bytes are packed at once, at most. */
export const mostAtOnce: i32 = 1 << 17;
/** What is within reach, and the part at hand behind it. Bytes are compared 16 at a time, also beyond the end. */
export const window: usize = heap.alloc(reach + mostAtOnce + 16);
/** Room for what a part can become, of the last of the tokens before it too. */
export const whereOutputLies: usize = heap.alloc(1 << 20);

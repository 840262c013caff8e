/** More than this at once the allocator does not give. */
const most: usize = 1 << 29;

/** Reallocates memory and keeps its contents; 0 stands for no memory yet. */
export function grow(address: usize, bytes: usize): usize {
  return address === 0 ? heap.alloc(bytes) : heap.realloc(address, bytes);
}

/**
 * So much memory. Very much of it is taken from the end of all, and there for good; its address tells it from the
 * allocator's, whose addresses are multiples of 16.
 */
export function allocate(bytes: usize): usize {
  if (bytes <= most) return heap.alloc(bytes);
  const pages = memory.grow(<i32>((bytes + 8 + 0xffff) >> 16));
  if (pages < 0) unreachable();
  return ((<usize>pages) << 16) + 8;
}

export function free(address: usize): void {
  if ((address & 15) === 0) heap.free(address);
}

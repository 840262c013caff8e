/** Memory of a new size with what it held; 0 stands for none yet. */
export function grow(address: usize, bytes: usize): usize {
  return address === 0 ? heap.alloc(bytes) : heap.realloc(address, bytes);
}

/*
 * The page's own signs, drawn on a square of 16 units in the color of their text.
 */

const outlines = {
  play: 'M4 2.5v11l9-5.5z',
  pause: 'M4 3h3v10H4zM9 3h3v10H9z',
  back: 'M12 3v10L6 8zM4 3h1.6v10H4z',
  on: 'M4 3v10l6-5zM10.4 3H12v10h-1.6z',
  start: 'M2.5 3h1.6v10H2.5zM8.5 3v10L4.6 8zM13.5 3v10L9 8z',
  loop: 'M3 4.5h8V2.2L14.5 5.4 11 8.6V6.2H4.7v3.3H3zM13 11.5H5v2.3L1.5 10.6 5 7.4v2.4h6.3V6.5H13z',
  full: 'M2 2h5v1.7H3.7V7H2zM9 2h5v5h-1.7V3.7H9zM2 9h1.7v3.3H7V14H2zM12.3 9H14v5H9v-1.7h3.3z',
  dice: 'M3 2h10l1 1v10l-1 1H3l-1-1V3zm2.5 2.2a1.3 1.3 0 1 0 .01 0zM8 6.7a1.3 1.3 0 1 0 .01 0zm2.5 2.5a1.3 1.3 0 1 0 .01 0z',
  eye: 'M8 3.5C4.5 3.5 2 6 1 8c1 2 3.500 4.500 7 4.500S14 10 15 8c-1-2-3.500-4.500-7-4.500zm0 2a2.500 2.500 0 1 1-.01 0z',
  sheet: 'M2 2h5.200v5.200H2zM8.800 2H14v5.200H8.800zM2 8.800h5.200V14H2zM8.800 8.800H14V14H8.800z',
  undo: 'M6.500 2 2 6l4.500 4V7.400h3a2.300 2.300 0 0 1 0 4.600H6V14h3.500a4.300 4.300 0 0 0 0-8.600h-3z',
} as const;
export type IconName = keyof typeof outlines;

export function Icon({ name }: { name: IconName }) {
  return (
    <svg class="icon" viewBox="0 0 16 16" aria-hidden="true">
      <path d={outlines[name]} fill-rule="evenodd" />
    </svg>
  );
}

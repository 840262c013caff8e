/*
 * The colors of Pellan Quay, mixed for it: what the examples are painted in.
 */
export const palette = {
  /** Tarred piles: text and outlines. */
  ink: '#1b2f3a',
  /** The fairway. */
  deep: '#24506a',
  /** The inner basin. */
  sea: '#3a8391',
  /** Where it is shallow. */
  shoal: '#86bdb6',
  foam: '#e4efe8',
  sail: '#f6efdf',
  sand: '#dcc697',
  rope: '#ad8a57',
  timber: '#6f4c38',
  /** The lamp on the mole. */
  lamp: '#f1b64e',
  /** Buoys, and what is to be seen from afar. */
  buoy: '#d5603f',
  brick: '#a8433a',
  kelp: '#647f52',
  slate: '#64737a',
  dusk: '#4d4672',
  heather: '#8a5f83',
} as const;

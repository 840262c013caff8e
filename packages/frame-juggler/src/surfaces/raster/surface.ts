import { byteForm } from './byte-form.ts';
import { EngineSurface } from './engine-surface.ts';

/**
 * Draws frames into memory, by exact area coverage. It keeps its pixels from frame to frame, so that a frame with a
 * carry stands over what is left of the last one. The same frames give the same bytes everywhere.
 */
export class RasterSurface extends EngineSurface {
  constructor() {
    super(byteForm);
  }
}

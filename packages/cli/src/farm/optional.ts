import { SketchError } from '../errors.ts';

/** A package that only those install who use what it is for. @throws SketchError where it is not installed */
export async function optionalPackage<Module>(
  load: () => Promise<Module>,
  names: string,
  what: string,
): Promise<Module> {
  try {
    return await load();
  } catch (error) {
    if ((error as NodeJS.ErrnoException).code !== 'ERR_MODULE_NOT_FOUND') throw error;
    throw new SketchError({
      problem: `${what} needs packages that are not installed`,
      expected: `npm install ${names}, beside @frame-juggler/cli`,
    });
  }
}

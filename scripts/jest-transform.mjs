// Lets Jest read TypeScript, by the same package that lets Node read sketches.
import { transformSync } from 'rolldown/utils';

export default {
  process(source, file) {
    const { code, map, errors } = transformSync(file, source, { lang: 'ts', sourcemap: true });
    if (errors.length > 0) throw new SyntaxError(`${file}: ${errors[0].message}`);
    return { code, map: JSON.stringify(map) };
  },
};

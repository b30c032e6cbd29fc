import { BaseSequencer } from 'vitest/node';

/** Projects by how long one of their files takes. */
const LONGEST_FIRST = ['journeys', 'server', 'components', 'web', 'pure'];
/** What takes longer than its size says. */
const LONG = ['e2e/src/accessibility', 'simulation/test/', 'scripts/test/start'];

/**
 * Begins with what takes longest, so that no worker is left alone with a long file at the end.
 * The runner's own order decides between two of one kind: by the times of the run before, else
 * by size.
 */
export class LongestFirst extends BaseSequencer {
  /**
   * @override
   * @param {import('vitest/node').TestSpecification[]} files
   */
  async sort(files) {
    const sorted = await super.sort(files);
    /** @param {import('vitest/node').TestSpecification} file */
    const rank = ({ moduleId, project }) =>
      LONG.some((part) => moduleId.includes(part)) ? -1 : LONGEST_FIRST.indexOf(project.name);
    return sorted.toSorted((a, b) => rank(a) - rank(b));
  }
}

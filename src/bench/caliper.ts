/** A caliper that is read: in millimetres, with the noise its kind has. */
export interface Caliper {
  /** What it shows for a true length, mm. */
  read(trueMm: number): number;
}

/**
 * The caliper that ships: reads to 0.01 mm with a spread of 0.015 mm, as a digital caliper in a practised
 * hand does.
 *
 * @param random a source of numbers from 0 to 1, so that a test can hold it still
 */
export function practiceCaliper(random: () => number): Caliper {
  return {
    read(trueMm) {
      const normal = Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
      return Math.round((trueMm + 0.015 * normal) * 100) / 100;
    },
  };
}

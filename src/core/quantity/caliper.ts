/** The spread of one reading of a workshop's caliper between its jaws, one standard deviation, mm. */
export const CALIPER_U_MM = 0.02;

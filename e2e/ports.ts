/**
 * Ports of one run of the stories: ten in a row, kept in the environment that the workers inherit, so that two runs on one
 * machine (a clone beside the tree, say) do not answer for each other.
 */
const FROM = 20_000;
const BLOCKS = 1_200;

process.env.SOFT_PEAK_STORY_PORTS ??= String(FROM + 10 * (process.pid % BLOCKS));

/** Port of the run for server `n`. @param n 0 (the kitchen of all stories) to 9. */
export const storyPort = (n: number): number => Number(process.env.SOFT_PEAK_STORY_PORTS) + n;

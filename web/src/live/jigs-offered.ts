import { useJobs } from './use-jobs.ts';

/** A jig that entries of the open job may name. */
export interface OfferedJig {
  readonly name: string;
  readonly title: string;
  readonly inputs: readonly string[];
}

/** None before they have come. */
let offered: () => readonly OfferedJig[] = () => [];

/** Jigs that an entry may name: those of the job and those of the account. */
export const jigsOffered = (): readonly OfferedJig[] => offered();

/** From now on these are offered. */
export function offerJigs(them: () => readonly OfferedJig[]): void {
  offered = them;
}

/** Has the account's jigs come, behind what is wanted first. */
export async function fetchJigs(): Promise<void> {
  const jobs = useJobs();
  await jobs.shelf();
  offerJigs(() => {
    const { list, atHand } = jobs.open.jigs;
    const here = list.flatMap(({ name, title, set }) => (set ? [{ name, title, set }] : []));
    const known = new Set(here.map(({ name }) => name.toLowerCase()));
    return [...here, ...atHand.filter(({ name }) => !known.has(name.toLowerCase()))].map(({ name, title, set }) => ({
      name,
      title,
      inputs: set.jig.inputs.map((input) => input.name),
    }));
  });
}

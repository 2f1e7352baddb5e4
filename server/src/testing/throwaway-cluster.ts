import type { TestProject } from 'vitest/node';

declare module 'vitest' {
  interface ProvidedContext {
    clusterUrl: string;
  }
}

/** One real PostgreSQL for all server tests, gone at their end. */
export default async function setup(project: TestProject): Promise<() => Promise<void>> {
  // The cluster's keeper is a plain script, shared with the start command.
  const path = new URL('../../../tools/lib/cluster.mjs', import.meta.url).href;
  const { throwawayCluster } = (await import(path)) as {
    throwawayCluster(): Promise<{ url: string; remove(): Promise<void> }>;
  };
  const cluster = await throwawayCluster();
  project.provide('clusterUrl', cluster.url);
  return () => cluster.remove();
}

/** What other features may use of the feed. */
export { feedRoutes } from './feed.routes.ts';
export { JobFeed } from './job-feed.ts';
export { notify } from './notify.ts';

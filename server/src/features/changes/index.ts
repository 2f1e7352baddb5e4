/** What other features may use of the changes. */
export { changeRoutes } from './changes.routes.ts';
export { makeChangesService, type ChangesService } from './changes.service.ts';

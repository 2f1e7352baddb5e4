/** What other features may use of the members. */
export { memberRoutes } from './members.routes.ts';
export { makeMembersService } from './members.service.ts';

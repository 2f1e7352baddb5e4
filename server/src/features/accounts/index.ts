/** What other features may use of the accounts. */
export { accountRoutes } from './accounts.routes.ts';
export { makeAccountsService } from './accounts.service.ts';
export { makeClaimsService } from './claims.service.ts';
export { hashSecret, makeToken } from './secrets.ts';

import { describe, expect, it } from 'vitest';
import { ENDPOINTS, openApi } from './openapi.ts';

/** Every address of the API, as it is asked. */
const ADDRESSES = `
get /api/account account
post /api/account/guest anyone
post /api/account/claim account
post /api/account/claim/confirm anyone
post /api/account/sign-in anyone
post /api/account/sign-out anyone
post /api/account/password account
post /api/account/code account
post /api/account/code/use anyone
post /api/account/reset anyone
post /api/account/reset/use anyone
get /api/jobs account
get /api/jobs/:jobId account
get /api/jobs/:jobId/since/:revision account
get /api/jobs/:jobId/events account
post /api/jobs/:jobId/changes account
get /api/jobs/:jobId/members account
post /api/jobs/:jobId/invitations account
delete /api/jobs/:jobId/invitations account
post /api/invitations/accept account
delete /api/jobs/:jobId/members/:accountId account
`;

interface Described {
  readonly paths: Readonly<Record<string, Readonly<Record<string, Operation>>>>;
}
interface Operation {
  readonly operationId: string;
  readonly parameters?: readonly { readonly name: string }[];
  readonly security: readonly object[];
  readonly requestBody?: { readonly required: boolean };
}

describe('the description of the API', () => {
  const { paths } = openApi() as Described;

  it('has every address, who may ask it, and what stands in it', () => {
    const asked = ENDPOINTS.map(([, { method, path, access }]) => `${method} ${path} ${access}`);
    expect(asked.sort()).toEqual(ADDRESSES.trim().split('\n').sort());
    for (const [name, { method, path, access }] of ENDPOINTS) {
      const operation = paths[path.replace(/:(\w+)/g, '{$1}')]?.[method];
      expect(operation?.operationId).toBe(name);
      expect(operation?.parameters?.map((one) => one.name)).toEqual(
        [...path.matchAll(/:(\w+)/g)].map(([, parameter]) => parameter),
      );
      // A caller without a session may ask what anyone may.
      expect(operation?.security).toEqual(access === 'anyone' ? [{}, { session: [] }] : [{ session: [] }]);
    }
  });

  it('asks for a body where one is taken, and nowhere else', () => {
    const taking = ENDPOINTS.filter(([, { path, method }]) => {
      return paths[path.replace(/:(\w+)/g, '{$1}')]?.[method]?.requestBody?.required === true;
    }).map(([name]) => name);
    expect(taking.sort()).toEqual([
      'acceptInvitation',
      'askReset',
      'beGuest',
      'changePassword',
      'claimAccount',
      'confirmClaim',
      'invite',
      'makeDeviceCode',
      'sendChanges',
      'signIn',
      'signOut',
      'useDeviceCode',
      'useReset',
    ]);
  });
});

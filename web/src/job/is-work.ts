import type { JobFields } from '@sprell/contract';

/** A job that a person works in, and not one that holds what an account has for all of them. Jobs that this device knew before there was such a choice are work. */
export const isWork = ({ holds }: { readonly holds?: JobFields['holds'] }): boolean => holds !== 'jigs';

import { sourceWire, titleWire } from '../../wire/line.ts';
import { kindWire } from '../kind-wire.ts';
import { taxKind } from './kind.ts';

/** A tax: what it is called, and an entry for its rate. */
export const taxWire = kindWire(taxKind, { name: titleWire, rate: sourceWire });

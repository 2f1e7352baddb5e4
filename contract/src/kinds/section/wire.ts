import { titleWire } from '../../wire/line.ts';
import { kindWire } from '../kind-wire.ts';
import { sectionKind } from './kind.ts';

export const sectionWire = kindWire(sectionKind, { name: titleWire });

import { titleWire } from '../../wire/line.ts';
import { kindWire } from '../kind-wire.ts';
import { versionKind } from './kind.ts';

export const versionWire = kindWire(versionKind, { name: titleWire });

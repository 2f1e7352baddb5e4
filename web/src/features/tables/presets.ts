import { isMetric, type ReadingStyle } from '@sprell/core';
import type { FamilyKind } from '@sprell/core/tables';

/** A table that is read often: what it goes over, and its columns. */
export interface Preset {
  readonly id: string;
  readonly title: string;
  readonly kind: FamilyKind;
  readonly from: string;
  readonly to: string;
  readonly step: string;
  readonly columns: readonly string[];
}

/** Those to choose from, the ones that a tape of this job meets first. */
export function presets(style: ReadingStyle): readonly Preset[] {
  const inches: readonly Preset[] = [
    {
      id: 'fractions',
      title: 'Inch fractions',
      kind: 'length',
      ...{ from: '1/32"', to: '1"', step: '1/32"' },
      columns: ['in-fraction', 'in', 'mm'],
    },
    {
      id: 'feet',
      title: 'Feet and inches to metres',
      kind: 'length',
      ...{ from: `1'`, to: `30'`, step: `1'` },
      columns: ['ft-in', 'ft', 'm'],
    },
  ];
  const millimetres: Preset = {
    id: 'millimetres',
    title: 'Millimetres to inches',
    kind: 'length',
    ...{ from: '10 mm', to: '600 mm', step: '10 mm' },
    columns: ['mm', 'in-fraction', 'in'],
  };
  const others: readonly Preset[] = [
    {
      id: 'slopes',
      title: 'Slopes',
      kind: 'slope',
      ...{ from: '1:12', to: '18:12', step: '1:12' },
      columns: ['rise', 'degrees', 'percent', 'one-in'],
    },
    of('area', 'Areas', '10 sq ft', '400 sq ft', '10 sq ft', ['ft2', 'yd2', 'm2']),
    of('volume', 'Volumes', '1 cu ft', '54 cu ft', '1 cu ft', ['ft3', 'yd3', 'm3', 'l', 'gal']),
    of('mass', 'Masses', '10 lb', '200 lb', '10 lb', ['lb', 'kg']),
    of('temperature', 'Temperatures', '-10 °C', '40 °C', '1 °C', ['celsius', 'fahrenheit']),
    of('speed', 'Speeds', '5 mph', '80 mph', '5 mph', ['mi/h', 'km/h', 'ft/s', 'm/s']),
    of('flow', 'Flows', '1 gpm', '20 gpm', '1 gpm', ['gal/min', 'l/min', 'm3/h']),
    of('pressure', 'Pressures', '5 psi', '150 psi', '5 psi', ['psi', 'bar', 'kpa']),
  ];
  return isMetric(style.length) ? [millimetres, ...inches, ...others] : [...inches, millimetres, ...others];
}

const of = (
  kind: FamilyKind,
  title: string,
  from: string,
  to: string,
  step: string,
  columns: readonly string[],
): Preset => ({ id: kind, title, kind, from, to, step, columns });

import { compareRational, makeRational, rationalToNumber } from '../number/rational.ts';
import { COMMON_SCALES, type CommonScale } from './common-scales.ts';

/**
 * The largest of the common scales by which something fits on a sheet; its size where it fits as it is; for what no common
 * scale holds, the first power of ten that does.
 * @param times how many times larger it is than the room for it
 * @param metric scales as 1:20, or else as 1/2″ = 1′
 */
export function fittingScale(times: number, metric: boolean): Pick<CommonScale, 'title' | 'factor'> {
  const scales = COMMON_SCALES.filter(({ definition }) => (definition.kind === 'ratio') === metric).sort((a, b) =>
    compareRational(a.factor, b.factor),
  );
  const whole = COMMON_SCALES.find(({ title }) => title === '1:1') as CommonScale;
  const fits = [whole, ...scales].find(({ factor }) => times <= rationalToNumber(factor) * (1 + 1e-12));
  if (fits !== undefined) return fits;
  const power = 10n ** BigInt(Math.ceil(Math.log10(times)));
  return { title: `1:${power}`, factor: makeRational(power) };
}

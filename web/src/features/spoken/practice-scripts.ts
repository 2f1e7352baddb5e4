import type { ScriptedPhrase } from '../../adapters/voice/scripted-recogniser.ts';

const MILLISECONDS_A_WORD = 280;

/** Somebody says this, plainly heard. */
function says(text: string, ...others: readonly string[]): ScriptedPhrase {
  const ways = [text, ...others].map((way, n) => ({ text: way, confidence: n === 0 ? 0.92 : 0.6 }));
  return { after: 1600, ways, takes: text.split(' ').length * MILLISECONDS_A_WORD };
}
/** Heard with little confidence. */
const mumbles = (text: string, ...others: readonly string[]): ScriptedPhrase => {
  const { ways, ...rest } = says(text, ...others);
  return { ...rest, ways: ways.map((way) => ({ ...way, confidence: 0.45 })) };
};

/** Scripts that can be played without a microphone, each to show something. */
export const PRACTICE_SCRIPTS: Readonly<Record<string, readonly ScriptedPhrase[]>> = {
  'Two sizes and what is left': [
    says('nine foot seven and a quarter plus two foot nine and three eighths'),
    says('take three and a half inches off that'),
    says('how much over'),
    says('enter'),
  ],
  'A mark, and eight of it': [
    says('store sixteen foot four as rail'),
    says('rail times eight'),
    says('no nine'),
    says('enter'),
    says('what were the last two'),
  ],
  'Misheard, and put right': [
    mumbles('nine food seven and three eights', 'nine foot seven and three eighths'),
    says('no three sixteenths'),
    mumbles('line foot six', 'nine foot six'),
    says('enter'),
  ],
  'Noise from the saw': [says('ten foot divided by seven'), { after: 1200, ways: [], takes: 900, trouble: 'noise' }],
};

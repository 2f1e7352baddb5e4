/** Measures a second, so that a level seems to follow the voice. */
const EVERY = 100;
/** The root mean square of a voice at arm's length is about a fifth of full scale. */
const LOUD = 0.2;

/**
 * How loud the microphone is, from 0 to 1. On phones one listener at a time has it, and that is the recogniser: there is no
 * level then.
 * @returns ends it
 */
export function listenToLevel(on: (amount: number) => void): () => void {
  const isPhone = matchMedia('(pointer: coarse)').matches;
  const { mediaDevices } = navigator as { mediaDevices?: MediaDevices };
  if (isPhone || mediaDevices === undefined) return () => undefined;
  let end: () => void = () => undefined;
  let isOver = false;
  mediaDevices
    .getUserMedia({ audio: true })
    .then((stream) => {
      const context = new AudioContext();
      const analyser = context.createAnalyser();
      context.createMediaStreamSource(stream).connect(analyser);
      const samples = new Float32Array(analyser.fftSize);
      const timer = setInterval(() => {
        analyser.getFloatTimeDomainData(samples);
        const square = samples.reduce((sum, sample) => sum + sample * sample, 0) / samples.length;
        on(Math.min(1, Math.sqrt(square) / LOUD));
      }, EVERY);
      end = () => {
        clearInterval(timer);
        for (const track of stream.getTracks()) track.stop();
        void context.close();
      };
      if (isOver) end();
    })
    // The recogniser says what is wrong with the microphone.
    .catch(() => undefined);
  return () => {
    isOver = true;
    end();
  };
}

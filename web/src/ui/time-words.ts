const clock = new Intl.DateTimeFormat('en', { hour: '2-digit', minute: '2-digit', hourCycle: 'h23' });
const dayAndClock = new Intl.DateTimeFormat('en-GB', {
  day: 'numeric',
  month: 'short',
  hour: '2-digit',
  minute: '2-digit',
  hourCycle: 'h23',
});

/** A moment as a person says it: the time alone for one of today. Both in milliseconds since 1970. */
export function timeWords(at: number, now: number): string {
  const isToday = new Date(at).toDateString() === new Date(now).toDateString();
  return (isToday ? clock : dayAndClock).format(at);
}

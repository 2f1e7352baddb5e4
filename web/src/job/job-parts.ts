/** What a new job can take over from another: all its lines, those alone that its marks come from, its drawing scales, … */
export type JobPart = 'lines' | 'marks' | 'scales' | 'setOuts' | 'takeOff';
export const ALL_PARTS: ReadonlySet<JobPart> = new Set(['lines', 'marks', 'scales', 'setOuts', 'takeOff']);

/** What other features may use of the demo. */
export { loadDemo } from './load-demo.ts';

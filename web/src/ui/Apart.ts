import type { FunctionalComponent } from 'vue';

/**
 * Draws the one component or element it holds by itself. What is read inside a slot counts as read by the component that draws the
 * slot: without this, a key that changes one panel has the whole bench compared again.
 */
export const Apart: FunctionalComponent = (_, { slots }) => slots['default']?.()[0];

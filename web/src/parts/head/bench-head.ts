import type { Component, InjectionKey } from 'vue';

/** What stands at the head of the bench in place of the usual one; it is given the same. */
export const BENCH_HEAD: InjectionKey<Component> = Symbol('bench-head');

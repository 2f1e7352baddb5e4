/// <reference lib="dom" />
/** A page with the editor and the library that the bench is made with, and nothing else: what is typed is said beneath. */
import { EditorState } from '@codemirror/state';
import { EditorView } from '@codemirror/view';
import { createApp, h, shallowRef } from 'vue';

const text = shallowRef('');
createApp({ render: () => h('p', text.value) }).mount('#said');
new EditorView({
  parent: document.querySelector('#entry') as HTMLElement,
  state: EditorState.create({
    extensions: EditorView.updateListener.of((update) => {
      if (update.docChanged) text.value = update.state.doc.toString();
    }),
  }),
});

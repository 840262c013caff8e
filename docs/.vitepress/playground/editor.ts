import { autocompletion, closeBrackets, closeBracketsKeymap } from '@codemirror/autocomplete';
import { defaultKeymap, history, historyKeymap, indentWithTab, isolateHistory } from '@codemirror/commands';
import { javascript } from '@codemirror/lang-javascript';
import { bracketMatching, HighlightStyle, indentOnInput, syntaxHighlighting } from '@codemirror/language';
import { lintGutter, setDiagnostics, type Diagnostic } from '@codemirror/lint';
import { highlightSelectionMatches, searchKeymap } from '@codemirror/search';
import { EditorState } from '@codemirror/state';
import { drawSelection, EditorView, highlightActiveLine, keymap, lineNumbers } from '@codemirror/view';
import { tags } from '@lezer/highlight';
import type { Change } from '../../../packages/cli/src/viewer/protocol.ts';

/*
 * The editor beside a live picture: code in, every change told; marks where something is wrong.
 */

/** What is wrong, and in which line; the whole sketch where that is not known. */
export interface Mark {
  readonly reason: string;
  readonly line: number | undefined;
}

export interface Editor {
  readonly source: string;
  /** Another text, of which no change is told. */
  put(source: string): void;
  /** Writes places of the text otherwise, of which no change is told. */
  change(changes: Change['changes']): void;
  mark(mark: Mark | undefined): void;
  /** Goes to a line, and takes the keys. */
  goTo(line: number): void;
  end(): void;
}

const colors = HighlightStyle.define([
  { tag: [tags.keyword, tags.operatorKeyword, tags.controlKeyword], color: 'var(--code-keyword)' },
  { tag: [tags.string, tags.special(tags.string), tags.regexp], color: 'var(--code-string)' },
  { tag: [tags.number, tags.bool, tags.null], color: 'var(--code-number)' },
  { tag: tags.comment, color: 'var(--code-comment)', fontStyle: 'italic' },
  { tag: [tags.function(tags.variableName), tags.function(tags.propertyName)], color: 'var(--code-call)' },
  { tag: [tags.typeName, tags.className], color: 'var(--code-type)' },
]);

/** @param onChange told the text whenever a person has changed it */
export function openEditor(parent: HTMLElement, source: string, onChange: (source: string) => void): Editor {
  let putting = false;
  const view = new EditorView({
    parent,
    state: EditorState.create({
      doc: source,
      extensions: [
        lineNumbers(),
        lintGutter(),
        history(),
        drawSelection(),
        indentOnInput(),
        bracketMatching(),
        closeBrackets(),
        autocompletion(),
        highlightActiveLine(),
        highlightSelectionMatches(),
        syntaxHighlighting(colors),
        javascript({ typescript: true }),
        keymap.of([...closeBracketsKeymap, ...defaultKeymap, ...searchKeymap, ...historyKeymap, indentWithTab]),
        EditorView.contentAttributes.of({ 'aria-label': 'The sketch. Escape, then Tab, leaves the editor.' }),
        EditorView.updateListener.of(({ docChanged, state }) => {
          if (docChanged && !putting) onChange(state.doc.toString());
        }),
      ],
    }),
  });
  /** Ctrl-Z takes each such change back by itself. */
  const changeUntold = (changes: readonly { from: number; to: number; insert: string }[]): void => {
    putting = true;
    view.dispatch({ changes: [...changes], annotations: isolateHistory.of('full') });
    putting = false;
  };
  // Keys can scroll it.
  view.scrollDOM.tabIndex = 0;
  return {
    get source() {
      return view.state.doc.toString();
    },
    put(text) {
      changeUntold([{ from: 0, to: view.state.doc.length, insert: text }]);
    },
    change(changes) {
      changeUntold(changes.map(({ start, end, text }) => ({ from: start, to: end, insert: text })));
    },
    mark(mark) {
      const { doc } = view.state;
      const marks: Diagnostic[] = [];
      if (mark?.line !== undefined && mark.line <= doc.lines) {
        const { from, to } = doc.line(mark.line);
        marks.push({ from, to, severity: 'error', message: mark.reason });
      }
      view.dispatch(setDiagnostics(view.state, marks));
    },
    goTo(line) {
      const { from } = view.state.doc.line(Math.min(line, view.state.doc.lines));
      view.dispatch({ selection: { anchor: from }, scrollIntoView: true });
      view.focus();
    },
    end: () => view.destroy(),
  };
}

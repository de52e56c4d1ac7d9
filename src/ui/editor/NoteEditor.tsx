import { EditorContent, useEditor } from '@tiptap/react';
import StarterKit from '@tiptap/starter-kit';
import { useEffect, useId } from 'react';
import type { NoteDoc } from '../../core/visit/note-doc';
import styles from './NoteEditor.module.css';

export interface NoteEditorProps {
  readonly label: string;
  readonly hint?: string;
  readonly error?: string | undefined;
  readonly value: NoteDoc;
  /** Grows with each change from outside, such as sentences taken over; typing does not change it. */
  readonly turn: number;
  readonly isReadOnly?: boolean;
  readonly onChange: (doc: NoteDoc) => void;
}

/** A short note with bold, italic and lists; by keyboard with the usual keys (Ctrl+B, Ctrl+I, “- ” at the beginning of a line). */
export default function NoteEditor({ label, hint, error, value, turn, isReadOnly = false, onChange }: NoteEditorProps) {
  const id = useId();
  const editor = useEditor({
    extensions: [
      StarterKit.configure({
        ...{ heading: false, blockquote: false, code: false, codeBlock: false, horizontalRule: false, strike: false },
        ...{ orderedList: false, link: false, underline: false, hardBreak: false },
      }),
    ],
    content: value as object,
    editable: !isReadOnly,
    immediatelyRender: false,
    editorProps: {
      attributes: { role: 'textbox', 'aria-multiline': 'true', 'aria-label': label, 'aria-describedby': `${id}-hint` },
    },
    onUpdate: ({ editor: changed }) => onChange(plainMarks(changed.getJSON())),
  });
  useEffect(() => {
    if (editor && turn > 0) editor.commands.setContent(value as object, { emitUpdate: false });
    // Only a change from outside replaces what is written.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [editor, turn]);
  useEffect(() => {
    editor?.setEditable(!isReadOnly, false);
  }, [editor, isReadOnly]);
  return (
    <div className={styles['field']} data-bad={error !== undefined || undefined}>
      <div className={styles['head']}>
        <span>{label}</span>
        {editor && !isReadOnly && (
          <span className={styles['tools']}>
            <button
              type="button"
              tabIndex={-1}
              aria-label="bold"
              onClick={() => editor.chain().focus().toggleBold().run()}
            >
              <b>B</b>
            </button>
            <button
              type="button"
              tabIndex={-1}
              aria-label="italic"
              onClick={() => editor.chain().focus().toggleItalic().run()}
            >
              <i>I</i>
            </button>
            <button
              type="button"
              tabIndex={-1}
              aria-label="list"
              onClick={() => editor.chain().focus().toggleBulletList().run()}
            >
              •
            </button>
          </span>
        )}
      </div>
      <EditorContent editor={editor} className={styles['text']} />
      <p id={`${id}-hint`} className={error ? styles['error'] : styles['hint']} role={error ? 'alert' : undefined}>
        {error ?? hint}
      </p>
    </div>
  );
}

/** The editor gives empty attributes along; a note has none. */
function plainMarks(doc: object): NoteDoc {
  return JSON.parse(
    JSON.stringify(doc, (key: string, part: unknown) => (key === 'attrs' ? undefined : part)),
  ) as NoteDoc;
}

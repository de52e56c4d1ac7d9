import styles from './imports.module.css';

interface Props {
  readonly words: string;
  readonly accept: string;
  readonly isDisabled: boolean;
  /** What was wrong with the file that was chosen last. */
  readonly trouble: string | undefined;
  readonly onChoose: (file: File) => void;
}

/** A file to be brought in. */
export function FileChoice({ words, accept, isDisabled, trouble, onChoose }: Props) {
  return (
    <>
      <label className={styles['file']}>
        {words}
        <input
          type="file"
          accept={accept}
          className="visually-hidden"
          disabled={isDisabled}
          onChange={(event) => {
            const [file] = event.target.files ?? [];
            if (file) onChoose(file);
            // The same file, mended, may be chosen again.
            event.target.value = '';
          }}
        />
      </label>
      {trouble && (
        <p className={styles['trouble']} role="alert">
          {trouble}
        </p>
      )}
    </>
  );
}

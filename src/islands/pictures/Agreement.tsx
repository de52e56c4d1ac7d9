import { useState } from 'react';
import type { PicturesView } from '../../contracts/picture-views';
import type { ClientId } from '../../core/ids';
import { type PictureAnswer, pictureAnswers } from '../../core/pictures/agreement';
import { Button } from '../../ui/button/Button';
import { Choice } from '../../ui/choice/Choice';
import { send, sentenceOf } from '../api';
import { picturesWords } from './pictures.words';
import styles from './pictures.module.css';

interface Props {
  readonly clientId: ClientId;
  readonly pictures: PicturesView;
  readonly onAnswered: (pictures: PicturesView) => void;
}

const words: Readonly<Record<PictureAnswer, string>> = {
  refused: picturesWords.refused,
  record: picturesWords.record,
  letters: picturesWords.letters,
};

/** Asks for pictures, and holds what was answered; a refusal offers to remove what is on record. */
export function Agreement({ clientId, pictures: { answer, answeredOn, photos }, onAnswered }: Props) {
  const [trouble, setTrouble] = useState<string>();
  const [isSure, setIsSure] = useState(false);
  const store = async (next: PictureAnswer, isErasing = false) => {
    setTrouble(undefined);
    try {
      const to = { params: { id: clientId }, body: { answer: next, isErasing } };
      onAnswered((await send('PUT /api/clients/{id}/pictures', to)).pictures);
      setIsSure(false);
    } catch (error) {
      setTrouble(sentenceOf(error));
    }
  };
  return (
    <section className={styles['agreement']} aria-label={picturesWords.may}>
      <h2>{picturesWords.may}</h2>
      <p className={styles['soft']}>{picturesWords.whatTheyAreFor}</p>
      <Choice
        label={picturesWords.answer}
        options={pictureAnswers.map((value) => ({ value, text: words[value] }))}
        value={answer}
        onChange={(value) => void store(value)}
      />
      <p className={styles['soft']}>
        {answeredOn === null ? picturesWords.notAsked : picturesWords.answeredOn(answeredOn)}
      </p>
      {answer === 'refused' && photos.length > 0 && (
        <div className={styles['left']} role="status">
          <p>{picturesWords.stillOnRecord(photos.length)}</p>
          {isSure ? (
            <>
              <Button onClick={() => void store('refused', true)}>{picturesWords.removeForGood}</Button>
              <Button look="link" onClick={() => setIsSure(false)}>
                {picturesWords.keep}
              </Button>
            </>
          ) : (
            <Button onClick={() => setIsSure(true)}>{picturesWords.remove(photos.length)}</Button>
          )}
        </div>
      )}
      {trouble && (
        <p className={styles['trouble']} role="alert">
          {trouble}
        </p>
      )}
    </section>
  );
}

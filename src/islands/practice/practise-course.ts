import type { VisitId } from '../../core/ids';
import { send, sentenceOf } from '../api';

/** Takes the course of a visit’s plan, without its client, to the practice table. */
export async function practiseCourse(visitId: VisitId, onTrouble: (text: string) => void): Promise<void> {
  try {
    const { id } = await send('POST /api/practice/courses', { body: { visitId } });
    window.location.assign(`/practice?kind=order&level=2&course=${id}`);
  } catch (error) {
    onTrouble(sentenceOf(error));
  }
}

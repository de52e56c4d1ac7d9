import { ClientInput, LikesInput } from '../../contracts/record';
import { jsonColumn, overUsual } from '../db/json-column';

export const noLikes: LikesInput = {
  pressure: '',
  warmth: '',
  music: '',
  scentsLiked: '',
  scentsDisliked: '',
  sides: '',
  other: '',
};
export const likesColumn = jsonColumn('client.likes_json', LikesInput, [overUsual(noLikes)]);

/** A client's own data as they stood before a change. */
export const beforeColumn = jsonColumn('client_version.before_json', ClientInput);

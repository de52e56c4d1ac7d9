/** One step from an older database to a newer one. */
export interface Migration {
  /** `NNNN_verb_noun`: applied in this order. */
  readonly name: string;
  readonly sql: string;
}

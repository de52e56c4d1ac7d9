/** What a photograph shows, so that it can be laid beside earlier ones of the same. */
export const poses = ['front', 'back', 'left side', 'right side', 'hand or foot', 'face', 'other'] as const;
export type Pose = (typeof poses)[number];

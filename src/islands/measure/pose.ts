/** What a picture shows. */
export const poses = ['front', 'back', 'left side', 'right side', 'hand or foot', 'face', 'other'] as const;
export type Pose = (typeof poses)[number];

/** How a picture of the client is taken, so that two of them can be laid side by side. */
export const poses = ['front', 'back', 'left side', 'right side', 'hand or foot', 'face', 'other'] as const;
export type Pose = (typeof poses)[number];

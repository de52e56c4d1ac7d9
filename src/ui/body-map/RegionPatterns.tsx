/** What a region is marked as. Each tone has a texture of its own, so that it is never colour alone. */
export type RegionTone = 'drain' | 'prepare' | 'open' | 'closed' | 'fluid' | 'tender' | 'active';

const textured: readonly RegionTone[] = ['prepare', 'closed', 'tender'];

export function regionFill(id: string, tone: RegionTone): string | undefined {
  return textured.includes(tone) ? `url(#${id}-${tone})` : undefined;
}

/** Hatchings: one way for skin to prepare, crossed for skin to keep off, dots for tender skin. */
export function RegionPatterns({ id }: { readonly id: string }) {
  return (
    <defs>
      <pattern id={`${id}-prepare`} width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
        <line x1="0" y1="0" x2="0" y2="7" stroke="var(--ochre-line)" strokeWidth="1.1" strokeOpacity="0.55" />
      </pattern>
      <pattern id={`${id}-closed`} width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
        <path d="M0 0V7M0 0H7" stroke="var(--brick)" strokeWidth="1.3" strokeOpacity="0.75" />
      </pattern>
      <pattern id={`${id}-tender`} width="6" height="6" patternUnits="userSpaceOnUse">
        <circle cx="1.5" cy="1.5" r="0.9" fill="var(--brick)" fillOpacity="0.7" />
        <circle cx="4.5" cy="4.5" r="0.9" fill="var(--brick)" fillOpacity="0.7" />
      </pattern>
      <marker
        id={`${id}-leaf`}
        viewBox="0 0 12 12"
        refX="8"
        refY="6"
        markerWidth="5"
        markerHeight="5"
        orient="auto-start-reverse"
      >
        <path d="M1 1C5 2 9 4 11.5 6C9 8 5 10 1 11C3 8 3 4 1 1Z" fill="context-stroke" />
      </marker>
    </defs>
  );
}

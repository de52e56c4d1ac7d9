import { type ReactNode, Suspense, useSyncExternalStore } from 'react';

const never = () => () => undefined;

/** Whether the page has come to life: what the server draws first, and what only the browser can draw. */
export const useIsBrowser = (): boolean =>
  useSyncExternalStore(
    never,
    () => true,
    () => false,
  );

/**
 * Room for a chart that is fetched and drawn in the browser only. The server sends the empty room: were it to wait for
 * the chart, React would stream it in by an inline script, which our content policy does not let run.
 */
export function Drawn({
  className,
  children,
}: {
  readonly className: string | undefined;
  readonly children: ReactNode;
}) {
  const isBrowser = useIsBrowser();
  const room = <div className={className} aria-busy="true" />;
  return isBrowser ? <Suspense fallback={room}>{children}</Suspense> : room;
}

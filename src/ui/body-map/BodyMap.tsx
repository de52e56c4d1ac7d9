import type { RegionMark, PebbleMark, RouteMark, SignMark } from './map-marks';
import { type KeyboardEvent, type ReactNode, useEffect, useId, useMemo, useState } from 'react';
import type { FigureView, PlaceId, Side } from '../../core/anatomy/place';
import styles from './BodyMap.module.css';
import { boxOf, type Figure, pointOf } from '../../core/figure/figure';
import { loadFigure } from './figure';
import { MapNode, type NodeState } from './MapNode';
import { pebblePoint, pebbleScale } from '../../core/figure/pebble-place';
import { MapPebble } from './MapPebble';
import { MapRoute } from './MapRoute';
import { MapSign } from './MapSign';
import { isArrowKey, neighbourOf } from './neighbour';
import { RegionPatterns, regionFill } from './RegionPatterns';

export interface BodyMapProps {
  readonly view: FigureView;
  /** For drawings of one side. */
  readonly side?: Side;
  readonly label: string;
  readonly regions?: ReadonlyMap<PlaceId, RegionMark>;
  readonly nodes?: ReadonlyMap<PlaceId, NodeState>;
  readonly routes?: readonly RouteMark[];
  readonly pebbles?: readonly PebbleMark[];
  readonly signs?: readonly SignMark[];
  /** Shows only the surroundings of these places. */
  readonly zoomTo?: readonly PlaceId[] | undefined;
  readonly selected?: PlaceId | undefined;
  /** Makes regions (and, when asked, node groups) pickable by pointer and keyboard. */
  readonly onPick?: ((place: PlaceId) => void) | undefined;
  readonly areNodesPickable?: boolean;
  readonly onPickPebble?: ((key: string) => void) | undefined;
  /** Told the name of what the pointer or the focus is on. */
  readonly onPoint?: ((words: string | undefined) => void) | undefined;
  /** Where it stands when its space is taller than it needs: in the middle when left out. */
  readonly stand?: 'top' | 'middle' | 'foot';
  /** Anything to draw above the body in its coordinates. */
  readonly children?: ((figure: Figure) => ReactNode) | undefined;
}

/**
 * One drawing of the body with what is known about it. See docs/guides/body-map.md.
 * Regions are buttons when `onPick` is given: arrow keys move between neighbours, Enter or Space picks.
 */
export function BodyMap(props: BodyMapProps) {
  const {
    view,
    side = 'left',
    label,
    regions,
    nodes,
    routes = [],
    pebbles = [],
    signs = [],
    zoomTo,
    selected,
    onPick,
  } = props;
  const [loaded, setLoaded] = useState<{ readonly key: string; readonly figure?: Figure; readonly failed?: boolean }>();
  const [focused, setFocused] = useState<PlaceId>();
  const id = useId();
  const key = `${view} ${side}`;

  useEffect(() => {
    let isCurrent = true;
    loadFigure(view, side).then(
      (figure) => isCurrent && setLoaded({ key, figure }),
      () => isCurrent && setLoaded({ key, failed: true }),
    );
    return () => {
      isCurrent = false;
    };
  }, [view, side, key]);

  const figure = loaded?.key === key ? loaded.figure : undefined;
  const pickable = useMemo(() => {
    if (!figure || !onPick) return [];
    const skin = figure.regions.map((region) => ({ id: region.id, at: region.anchor }));
    return props.areNodesPickable
      ? [...skin, ...figure.nodes.map((node) => ({ id: node.id, at: [node.x, node.y] as const }))]
      : skin;
  }, [figure, onPick, props.areNodesPickable]);

  if (loaded?.key === key && loaded.failed)
    return (
      <p className={styles['failed']}>The drawing could not be loaded. Reload the page; nothing you entered is lost.</p>
    );
  if (!figure)
    return <div role="img" className={styles['waiting']} data-view={view} aria-busy="true" aria-label={label} />;

  const tabStop = [focused, selected, pickable[0]?.id].find((place) => pickable.some((p) => p.id === place));
  const wordsOf = (place: PlaceId, name: string) => {
    const mark = regions?.get(place)?.words ?? nodes?.get(place);
    return mark ? `${name}, ${mark}` : name;
  };
  const moveFocus = (event: KeyboardEvent<SVGElement>, place: PlaceId) => {
    if (event.key === 'Enter' || event.key === ' ') {
      event.preventDefault();
      event.stopPropagation();
      onPick?.(place);
      return;
    }
    if (!isArrowKey(event.key) || event.altKey) return;
    event.preventDefault();
    event.stopPropagation();
    const from = pointOf(figure, place);
    const next =
      from &&
      neighbourOf(
        pickable.filter((p) => p.id !== place),
        from,
        event.key,
      );
    if (!next) return;
    setFocused(next);
    event.currentTarget.ownerSVGElement?.querySelector<SVGElement>(`[data-place="${next}"]`)?.focus();
  };
  const buttonProps = (place: PlaceId, name: string) =>
    onPick && pickable.some((p) => p.id === place)
      ? {
          role: 'button',
          tabIndex: place === tabStop ? 0 : -1,
          'aria-label': wordsOf(place, name),
          'aria-pressed': place === selected,
          'data-place': place,
          onClick: () => onPick(place),
          onKeyDown: (event: KeyboardEvent<SVGElement>) => moveFocus(event, place),
          onFocus: () => {
            setFocused(place);
            props.onPoint?.(wordsOf(place, name));
          },
        }
      : {};
  const point = (place: PlaceId, name: string) => ({
    onPointerEnter: () => props.onPoint?.(wordsOf(place, name)),
    onPointerLeave: () => props.onPoint?.(undefined),
  });

  const [x, y, width, height] = frameOf(figure, zoomTo);
  const isMirrored = figure.oneSided && side === 'right';
  return (
    <svg
      className={styles['map']}
      viewBox={`${x} ${y} ${width} ${height}`}
      role={onPick ? 'group' : 'img'}
      aria-label={onPick ? label : `${label}. ${summaryOf(figure, regions, nodes)}`}
      data-zoomed={zoomTo ? true : undefined}
      preserveAspectRatio={stands[props.stand ?? 'middle']}
    >
      <RegionPatterns id={id} />
      <g transform={isMirrored ? `translate(${figure.viewBox[2]} 0) scale(-1 1)` : undefined}>
        <path d={figure.base} className={styles['base']} />
        {figure.zones.map((zone) => (
          <path key={zone.id} d={zone.d} className={styles['zone']} />
        ))}
        {figure.regions.map((region) => {
          const mark = regions?.get(region.id);
          return (
            <g key={region.id}>
              <path
                d={region.d}
                className={styles['region']}
                data-region={region.id}
                data-tone={mark?.tone}
                data-selected={region.id === selected ? true : undefined}
                style={mark?.strength === undefined ? undefined : { fillOpacity: 0.15 + 0.85 * mark.strength }}
                {...buttonProps(region.id, region.label)}
                {...point(region.id, region.label)}
              />
              {mark && regionFill(id, mark.tone) && (
                <path d={region.d} fill={regionFill(id, mark.tone)} className={styles['texture']} />
              )}
            </g>
          );
        })}
        <g className={styles['shade']}>
          {figure.shade.map((d) => (
            <path key={d.slice(0, 40)} d={d} />
          ))}
        </g>
        <g className={styles['watersheds']}>
          {figure.watersheds.map((line) => (
            <path key={line.id} d={line.d} />
          ))}
        </g>
        <path d={figure.outline} className={styles['outline']} strokeWidth={figure.outlineWidth} />
        <g className={styles['accents']}>
          {figure.accents.map((d) => (
            <path key={d.slice(0, 40)} d={d} />
          ))}
        </g>
        <g className={styles['details']}>
          {figure.details.map((d) => (
            <path key={d.slice(0, 40)} d={d} />
          ))}
        </g>
      </g>
      {routes.map(({ key: routeKey, ...route }) => (
        <MapRoute key={routeKey} figure={figure} {...route} />
      ))}
      {figure.nodes.map((node) => (
        <g
          key={node.id}
          {...(props.areNodesPickable ? buttonProps(node.id, node.label) : {})}
          {...point(node.id, node.label)}
          className={styles['node']}
        >
          <MapNode node={node} state={nodes?.get(node.id)} isSelected={node.id === selected} />
        </g>
      ))}
      {props.children?.(figure)}
      {signs.map(({ key: signKey, ...sign }) => (
        <MapSign key={signKey} figure={figure} {...sign} />
      ))}
      {withoutOverlap(figure, pebbles, pebbleScale(figure)).map((pebble) => (
        <MapPebble key={pebble.key} figure={figure} mark={pebble} onPick={props.onPickPebble} />
      ))}
    </svg>
  );
}

const stands = {
  top: 'xMidYMin meet',
  middle: 'xMidYMid meet',
  foot: 'xMidYMax meet',
} as const;
const zoomMargin = 0.14;
/** Drawings carry some air at their edges, more than a view needs. */
const trim: Readonly<Partial<Record<FigureView, readonly [number, number, number, number]>>> = {
  front: [4, 16, 392, 972],
  back: [4, 16, 392, 972],
};

/** The part of the drawing to show: all of it, or the surroundings of some places with a margin, never less than a third of its width. */
function frameOf(figure: Figure, zoomTo: readonly PlaceId[] | undefined): readonly [number, number, number, number] {
  const whole = trim[figure.view] ?? figure.viewBox;
  const box = zoomTo && boxOf(figure, zoomTo);
  if (!box) return whole;
  const margin = Math.max(box[2], box[3]) * zoomMargin;
  const width = Math.min(Math.max(box[2] + 2 * margin, whole[2] * 0.4), whole[2]);
  const height = Math.min(Math.max(box[3] + 2 * margin, whole[2] * 0.4), whole[3]);
  const clamp = (value: number, low: number, high: number) => Math.min(Math.max(value, low), Math.max(low, high));
  return [
    clamp(box[0] + box[2] / 2 - width / 2, whole[0], whole[0] + whole[2] - width),
    clamp(box[1] + box[3] / 2 - height / 2, whole[1], whole[1] + whole[3] - height),
    width,
    height,
  ];
}

/** Numbers that would lie on one another are left out; the chosen one always shows, then those that come first. */
function withoutOverlap(figure: Figure, pebbles: readonly PebbleMark[], scale: number): readonly PebbleMark[] {
  const placed: (readonly [number, number])[] = [];
  const byWeight = [...pebbles].sort(
    (a, b) => Number(b.isSelected ?? false) - Number(a.isSelected ?? false) || a.number - b.number,
  );
  const kept = byWeight.filter((pebble) => {
    const at = pebblePoint(figure, pebble.place);
    if (!at || placed.some((p) => Math.abs(p[0] - at[0]) < 26 * scale && Math.abs(p[1] - at[1]) < 19 * scale))
      return false;
    placed.push(at);
    return true;
  });
  return kept.reverse();
}

/** What a reader who does not see the drawing should know. */
function summaryOf(figure: Figure, regions: BodyMapProps['regions'], nodes: BodyMapProps['nodes']): string {
  const marked = figure.regions.flatMap((region) => {
    const mark = regions?.get(region.id);
    return mark ? [`${region.label}: ${mark.words}`] : [];
  });
  const groups = figure.nodes.flatMap((node) => {
    const state = nodes?.get(node.id);
    return state && state !== 'quiet' ? [`${node.label}: ${state}`] : [];
  });
  return [...groups, ...marked].join('; ');
}

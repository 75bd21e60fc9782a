import { computed } from 'vue';
import { digits } from '../../core/words/numerals.ts';
import type { Cable } from '../../core/model/cable.ts';
import type { Place } from '../../core/model/system.ts';
import { areaMm2 } from '../../core/model/tables/size.ts';
import { PLACE_POSTS, POST_SIGNS, type PostName } from '../../core/model/tables/places.ts';
import type { SystemFinding } from '../../core/system/findingParts.ts';
import { postTitle } from '../../core/system/places.ts';
import type { Shown } from '../../core/system/shown.ts';
import type { SystemView } from '../../core/system/view.ts';
import { runText, sizeText } from '../ui/display.ts';
import { DCDC_POST, type DrawnDiagram, HALF, type Spot } from './layout.ts';
import { nameLines } from './nameLines.ts';
import { say } from '../../core/words/say.ts';

/** What a diagram is drawn from. */
export interface DrawingProps {
  readonly view: SystemView;
  readonly drawn: DrawnDiagram;
  readonly shown: Shown;
  /** Null: the worst of all states. */
  readonly stateId: string | null;
  readonly findings: readonly SystemFinding[];
  /** What an opened finding speaks of. */
  readonly pointed: { readonly places: readonly string[]; readonly cables: readonly string[] };
  /** Cables that are made, by id: the others are drawn broken. */
  readonly made: ReadonlySet<string>;
}

/** px for copper of so many mm², all conductors side by side. */
const stroke = (mm2: number) => Math.max(2.5, Math.min(10, 1 + Math.sqrt(mm2) * 0.85));

const path = (points: readonly Spot[]) =>
  points.map(({ x, y }, i) => `${i === 0 ? 'M' : 'L'}${x.toFixed(1)} ${y.toFixed(1)}`).join('');
/** Where the words of a conductor stand: beside its longest upright stretch. */
function beside(points: readonly Spot[]): Spot & { room: number } {
  let best = { x: points[0]?.x ?? 0, y: points[0]?.y ?? 0, room: 0 };
  points.slice(1).forEach((to, i) => {
    const from = points[i] as Spot;
    const length = Math.abs(to.y - from.y);
    if (Math.abs(to.x - from.x) < 0.5 && length > best.room)
      best = { x: to.x, y: (from.y + to.y) / 2, room: length };
  });
  return best;
}

interface Drawn {
  readonly id: string;
  readonly cable: Cable | null;
  readonly d: string;
  readonly width: number;
  readonly jacket: string;
  readonly words: { readonly x: number; readonly y: number; readonly lines: readonly string[] } | null;
  readonly fuse: { readonly x: number; readonly y: number; readonly rating: string } | null;
  readonly finding: SystemFinding | null;
  readonly isPointed: boolean;
  readonly isMade: boolean;
  readonly spoken: string;
}

/** Every line, shape and word of the diagram, as its template draws them. */
// oxlint-disable-next-line max-lines-per-function -- one drawing: its lines, its shapes and its words share what they are drawn from
export function useDrawing(p: DrawingProps) {
  const conductorOf = computed(
    () => new Map(p.view.installation.conductors.map((conductor) => [conductor.cable.id, conductor])),
  );
  const failing = computed(() => {
    const topics = ['unfused', 'under-fuse'];
    const own = p.findings.filter(({ state, topic }) => state === 'fails' && topics.includes(topic));
    return new Map(own.map((finding) => [finding.cables[0] ?? '', finding]));
  });
  const failingPlaces = computed(
    () =>
      new Set(
        p.findings
          .filter(({ state, topic }) => state === 'fails' && topic !== 'loads-return')
          .flatMap(({ places, cables }) => (cables.length > 0 ? [] : places)),
      ),
  );
  const edges = computed(() =>
    p.drawn.edges.map(({ edge, points }): Drawn => {
      const conductor = edge.of.kind === 'cable' ? conductorOf.value.get(edge.of.id) : undefined;
      const cable = conductor?.cable ?? null;
      const isFirst = edge.id === edge.of.id;
      const amps = cable ? p.shown.cables.get(cable.id)?.amps : null;
      const { x, y, room } = beside(points);
      const lines =
        cable && conductor
          ? [
              `${cable.tag}\u2002${amps === null || amps === undefined ? '–' : `${digits(Math.abs(amps), 1)} A`}`,
              failing.value.get(cable.id)
                ? wrongSays(failing.value.get(cable.id) as SystemFinding)
                : `${sizeText(conductor.size.size)}, ${runText(cable.run.lengthMm + cable.run.loopMm)}`,
            ]
          : [];
      const spokenFigures = lines.map((line) => line.replace(`${cable?.tag}\u2002`, '')).join(', ');
      const inline = conductor?.fuses[0];
      const isAtTop =
        inline !== undefined && p.view.placeOf(edge.above.node)?.id === cable?.ends[inline.end].on?.place;
      const fuseAt = isAtTop ? points[0] : points.at(-1);
      const fuseX = (isAtTop ? points[1] : points.at(-2))?.x ?? 0;
      return {
        id: edge.id,
        cable,
        d: path(points),
        width: conductor ? stroke(areaMm2(conductor.size.size) * (cable?.gauge.parallel ?? 1)) : 3,
        jacket: cable?.jacket ?? (edge.of.kind === 'stud' ? 'copper' : 'steel'),
        words:
          cable && isFirst && room >= 14
            ? { x: x + 9, y, lines: room >= 34 ? lines : lines.slice(0, 1) }
            : null,
        fuse:
          inline && isFirst && fuseAt && room >= 60
            ? { x: fuseX, y: fuseAt.y + (isAtTop ? 24 : -24), rating: digits(inline.ratingA, 0) }
            : null,
        finding: cable && isFirst ? (failing.value.get(cable.id) ?? null) : null,
        isPointed: cable !== null && p.pointed.cables.includes(cable.id),
        isMade: cable !== null && p.made.has(cable.id),
        spoken:
          cable && isFirst
            ? say`${cable.tag}, ${cable.ends.A.at} to ${cable.ends.B.at}: ${spokenFigures}`
            : '',
      };
    }),
  );

  /** What is wrong with a cable, in three words. */
  const wrongSays = ({ topic, value, limit }: SystemFinding) =>
    topic === 'unfused' || limit?.kind !== 'most'
      ? say`no fuse`
      : say`${digits(value ?? 0, 0)} A fuse, allowed ${digits(limit.most, 0)} A`;

  const volts = (value: number | null | undefined) =>
    value === null || value === undefined ? '–' : `${digits(value, 2)} V`;
  const amps = (value: number | null | undefined) =>
    value === null || value === undefined ? '–' : `${digits(Math.abs(value), 1)} A`;

  /** The lines beside a place. */
  function linesOf(place: Place): readonly string[] {
    const flow = p.shown.places.get(place.id);
    switch (place.kind) {
      case 'battery':
        return [
          place.name,
          volts(flow?.volts),
          flow && (flow.amps ?? 0) < -0.05 ? say`takes ${amps(flow.amps)}` : say`gives ${amps(flow?.amps)}`,
        ];
      case 'supply':
      case 'dcdc':
        return [place.name, flow?.isOn ? say`gives ${amps(flow.amps)}` : say`off`];
      case 'load':
        return flow?.isOn
          ? [place.name, flow.isFed ? volts(flow.volts) : say`not fed`, amps(flow.amps)]
          : [place.name, say`off`];
      case 'fuse':
      case 'breaker':
        return [place.name, `${digits(place.ratingA, 0)} A`, ...(isOpen(place) ? [say`open`] : [])];
      case 'switch':
      case 'relay':
        return [
          place.name,
          [
            isOpen(place) ? say`open` : say`closed`,
            ...(place.ratingA ? [`${digits(place.ratingA, 0)} A`] : []),
          ].join(', '),
        ];
      case 'shunt':
        return [place.name, ...(place.ratingA ? [`${digits(place.ratingA, 0)} A`] : [])];
      case 'bar':
        return [
          place.name,
          [
            ...(place.ratingA ? [say`${digits(place.ratingA, 0)} A bar`] : []),
            ...(place.stud ? [place.stud] : []),
          ].join(', '),
          isReturn(place.id) ? say`${amps(flow?.amps)} back` : volts(flow?.volts),
        ];
      case 'ground':
        return [place.name];
    }
  }
  const isOpen = (place: Place) => {
    const flow = p.shown.places.get(place.id);
    const state = p.stateId === null ? undefined : p.view.stateOf(p.stateId);
    return state ? state.open.includes(place.id) : flow?.isOn === false;
  };

  const used = computed(
    () =>
      new Set(
        p.view.installation.conductors
          .flatMap(({ cable }) => [cable.ends.A.on, cable.ends.B.on])
          .map((on) => `${on?.place} ${on?.post}`),
      ),
  );
  /** A post by its place on the shape, and whether nothing is on it. */
  function postsOf(place: Place): { post: PostName; x: number; y: number; isBare: boolean; title: string }[] {
    if (place.kind === 'bar' || place.kind === 'ground') return [];
    const half = HALF[place.kind];
    const edge = p.drawn.edges.find(({ edge: own }) => own.above.node === place.id && own.above.post);
    const top = p.drawn.edges.find(({ edge: own }) => own.below.node === place.id && own.below.post)?.edge
      .below.post;
    return PLACE_POSTS[place.kind].map((post: PostName) => {
      const isTop =
        place.kind === 'dcdc' || post === 'plus' || post === 'minus'
          ? post.endsWith('plus')
          : top
            ? post === top
            : edge
              ? post !== edge.edge.above.post
              : post === 'line';
      return {
        post,
        x: place.kind === 'dcdc' ? (post.startsWith('in') ? -DCDC_POST : DCDC_POST) : 0,
        y: isTop ? -half : half,
        isBare:
          !used.value.has(`${place.id} ${post}`) &&
          !(place.kind === 'load' && place.groundId && post === 'minus'),
        title: postTitle(place, post) + (post === 'line' || post === 'load' ? ` ${POST_SIGNS[post]}` : ''),
      };
    });
  }
  const places = computed(() =>
    p.view.installation.system.places.flatMap((place) => {
      const spot = p.drawn.spots.get(place.id);
      if (!spot) return [];
      return [
        {
          place,
          spot,
          rail: p.drawn.rails.get(place.id),
          lines: linesOf(place),
          name: nameLines(place.name),
          posts: postsOf(place),
        },
      ];
    }),
  );
  /** Names of bars stand above them, of those that all comes back to under them. */
  const nameY = (id: string, y: number, half: number) => (isReturn(id) ? y + half + 17 : y - half - 7);
  const isReturn = (id: string) => p.view.protection.isReturn[p.view.postOf(id, 'post')] ?? false;
  const studs = computed(() => [...p.drawn.rails].filter(([id]) => id.startsWith('stud ')));
  const isDimmed = (place: Place) => p.shown.places.get(place.id)?.isOn === false;
  return { edges, places, studs, failingPlaces, isOpen, isReturn, isDimmed, nameY };
}

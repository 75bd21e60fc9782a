import ElkApi, { type ElkNode, type ElkExtendedEdge } from 'elkjs/lib/elk-api.js';
import workerUrl from 'elkjs/lib/elk-worker.min.js?url';
import { groupsOf } from '../../core/lib/groups.ts';
import { addTo } from '../../core/lib/lists.ts';
import { nameRoom } from './nameLines.ts';
import type { Diagram, DiagramEdge, DiagramEnd, DiagramNode } from '../../core/system/diagram.ts';

/** Where something is drawn, px: its middle. */
export interface Spot {
  readonly x: number;
  readonly y: number;
}
/** A bar: from edge to edge. */
export interface Rail {
  readonly from: number;
  readonly to: number;
  readonly y: number;
}
export interface DrawnEdge {
  readonly edge: DiagramEdge;
  readonly points: readonly Spot[];
}
/** The diagram with its scale. */
export interface DrawnDiagram {
  readonly width: number;
  readonly height: number;
  /** Of each place, the middle of its shape. */
  readonly spots: ReadonlyMap<string, Spot>;
  readonly rails: ReadonlyMap<string, Rail>;
  readonly edges: readonly DrawnEdge[];
}

/** Half the height of a shape by its kind, px: its posts stand at the ends. */
export const HALF = {
  battery: 23,
  supply: 26,
  load: 26,
  dcdc: 30,
  fuse: 15,
  breaker: 15,
  switch: 18,
  relay: 18,
  shunt: 18,
  bar: 9,
  ground: 12,
} as const;
/** How far the posts of a DC-DC charger stand from its middle. */
export const DCDC_POST = 18;
const SHAPE_ROOM = 30;
/** A long name may run past the last column. */
const NAME_OVERHANG = 36;
const BAR_OVERHANG = 22;
const PAD = 16;
/** A bar at the top has its name above it, one at the bottom under it. */
const TOP_PAD = 26;

const isRail = ({ place, isStud }: DiagramNode): boolean =>
  isStud || place?.kind === 'bar' || place?.kind === 'ground';
/** Half the height of the stud of a post that several cables share, px. */
export const STUD_HALF = 5;

let elk: InstanceType<typeof ElkApi> | undefined;

function portOf(
  node: DiagramNode,
  end: DiagramEnd,
  isAbove: boolean,
): { readonly x: number; readonly top: boolean } {
  const { place, up } = node;
  if (!place || isRail(node)) return { x: 0, top: !isAbove };
  const { post } = end;
  if (place.kind === 'dcdc')
    return { x: post?.startsWith('in') ? -DCDC_POST : DCDC_POST, top: post?.endsWith('plus') ?? true };
  if (post === 'plus') return { x: 0, top: true };
  if (post === 'minus') return { x: 0, top: false };
  return { x: 0, top: post === up };
}

/** The parts of a diagram that hang together, the one with most in it first. */
function partsOf({ nodes, edges }: Diagram): Diagram[] {
  const index = new Map(nodes.map(({ id }, i) => [id, i]));
  const indexOf = (id: string) => index.get(id) ?? -1;
  const groups = groupsOf(
    nodes.length,
    edges.map(({ above, below }) => [indexOf(above.node), indexOf(below.node)]),
  );
  return [...new Set(groups)]
    .map((group) => ({
      nodes: nodes.filter((_, i) => groups[i] === group),
      edges: edges.filter(({ above }) => groups[indexOf(above.node)] === group),
    }))
    .sort((a, b) => b.nodes.length - a.nodes.length);
}

/**
 * Lays a diagram out: columns between their poles by the layered algorithm of ELK, in its worker; bars are then drawn
 * along all that hangs on them. Parts that do not hang together stand side by side.
 */
export async function laidOut(diagram: Diagram): Promise<DrawnDiagram> {
  const parts = await Promise.all(partsOf(diagram).map(partLaidOut));
  let x = 0;
  const whole = {
    spots: new Map<string, Spot>(),
    rails: new Map<string, Rail>(),
    edges: [] as DrawnEdge[],
  };
  for (const part of parts) {
    const moved = (spot: Spot): Spot => ({ x: spot.x + x, y: spot.y });
    for (const [id, spot] of part.spots) whole.spots.set(id, moved(spot));
    for (const [id, { from, to, y }] of part.rails) whole.rails.set(id, { from: from + x, to: to + x, y });
    whole.edges.push(...part.edges.map(({ edge, points }) => ({ edge, points: points.map(moved) })));
    x += part.width;
  }
  return { ...whole, width: x + NAME_OVERHANG, height: Math.max(0, ...parts.map(({ height }) => height)) };
}

// oxlint-disable-next-line max-lines-per-function -- what ELK is asked, as one description
async function partLaidOut(diagram: Diagram): Promise<DrawnDiagram> {
  elk ??= new ElkApi({ workerUrl });
  const byId = new Map(diagram.nodes.map((node) => [node.id, node]));
  const half = ({ place, isStud }: DiagramNode) => (place ? HALF[place.kind] : isStud ? STUD_HALF : 1);
  const ports = new Map<string, { readonly id: string; readonly x: number; readonly top: boolean }[]>();
  const edges = diagram.edges.map((edge): ElkExtendedEdge => {
    const port = (end: DiagramEnd, isAbove: boolean): string => {
      const node = byId.get(end.node) as DiagramNode;
      const { x, top } = portOf(node, end, isAbove);
      const own = ports.get(end.node) ?? [];
      const id = isRail(node) || !node.place ? `${end.node}/${own.length}` : `${end.node}/${end.post}`;
      if (!own.some((one) => one.id === id)) ports.set(end.node, [...own, { id, x, top }]);
      return id;
    };
    return { id: edge.id, sources: [port(edge.above, true)], targets: [port(edge.below, false)] };
  });
  const graph: ElkNode = {
    id: 'root',
    layoutOptions: {
      'elk.algorithm': 'layered',
      'elk.direction': 'DOWN',
      'elk.edgeRouting': 'ORTHOGONAL',
      'elk.spacing.nodeNode': '8',
      'elk.spacing.edgeNode': '30',
      'elk.spacing.edgeEdge': '46',
      'elk.layered.spacing.nodeNodeBetweenLayers': '25',
      'elk.layered.spacing.edgeNodeBetweenLayers': '8',
      'elk.layered.spacing.edgeEdgeBetweenLayers': '10',
      'elk.layered.considerModelOrder.strategy': 'NODES_AND_EDGES',
      'elk.layered.crossingMinimization.forceNodeModelOrder': 'true',
      'elk.layered.nodePlacement.strategy': 'BRANDES_KOEPF',
      'elk.layered.nodePlacement.favorStraightEdges': 'true',
      'elk.padding': `[top=${TOP_PAD},left=${PAD},bottom=${TOP_PAD},right=${PAD}]`,
    },
    children: diagram.nodes.map((node): ElkNode => {
      const height = 2 * half(node);
      const its = ports.get(node.id) ?? [];
      const width = isRail(node)
        ? Math.max(40, 30 * its.length)
        : node.place
          ? SHAPE_ROOM * 2 + nameRoom(node.place.name)
          : 2;
      const middle = isRail(node) || !node.place ? width / 2 : SHAPE_ROOM;
      const rail = isRail(node) || !node.place;
      return {
        id: node.id,
        width,
        height,
        layoutOptions: {
          'elk.portConstraints': rail ? 'FIXED_SIDE' : 'FIXED_POS',
          ...(node.isLowest && { 'elk.layered.layering.layerConstraint': 'LAST' }),
        },
        ports: its.map(({ id, x, top }) => ({
          id,
          x: middle + x,
          y: top ? 0 : height,
          width: 0,
          height: 0,
          layoutOptions: { 'elk.port.side': top ? 'NORTH' : 'SOUTH' },
        })),
      };
    }),
    edges,
  };
  const placed = await elk.layout(graph);
  return drawn(diagram, byId, placed);
}

/** From what ELK answers to what is drawn: each end on a bar goes straight to it, and the bar spans them all. */
function drawn(diagram: Diagram, byId: ReadonlyMap<string, DiagramNode>, placed: ElkNode): DrawnDiagram {
  const spots = new Map<string, Spot>();
  for (const { id, x = 0, y = 0, width = 0, height = 0 } of placed.children ?? []) {
    const node = byId.get(id);
    const isWide = node && (isRail(node) || !node.place);
    spots.set(id, { x: x + (isWide ? width / 2 : SHAPE_ROOM), y: y + height / 2 });
  }
  const on = new Map<string, number[]>();
  const note = (id: string, x: number) => addTo(on, id, x);
  const byEdge = new Map((placed.edges ?? []).map((edge) => [edge.id, edge.sections?.[0]]));
  const edges = diagram.edges.map((edge): DrawnEdge => {
    const section = byEdge.get(edge.id);
    let points: Spot[] = section ? [section.startPoint, ...(section.bendPoints ?? []), section.endPoint] : [];
    const railAt = ({ node }: DiagramEnd) => {
      const own = byId.get(node);
      return own && isRail(own) ? own : null;
    };
    const [top, bottom] = [railAt(edge.above), railAt(edge.below)];
    if (top && points.length > 0) {
      // Straight up from where it last turns down.
      const x = (points.length > 2 ? points[2] : points[0])?.x ?? 0;
      points = [{ x, y: spots.get(top.id)?.y ?? 0 }, ...points.slice(points.length > 2 ? 2 : 1)];
      note(top.id, x);
    }
    if (bottom && points.length > 0) {
      const x = (points.length > 2 ? points.at(-3) : points.at(-1))?.x ?? 0;
      points = [...points.slice(0, points.length > 2 ? -2 : -1), { x, y: spots.get(bottom.id)?.y ?? 0 }];
      note(bottom.id, x);
    }
    return { edge, points };
  });
  const rails = new Map<string, Rail>();
  for (const node of diagram.nodes.filter(isRail)) {
    const spot = spots.get(node.id) ?? { x: 0, y: 0 };
    const xs = on.get(node.id) ?? [spot.x];
    const rail = { from: Math.min(...xs) - BAR_OVERHANG, to: Math.max(...xs) + BAR_OVERHANG, y: spot.y };
    rails.set(node.id, rail);
    spots.set(node.id, { x: (rail.from + rail.to) / 2, y: spot.y });
  }
  return { width: placed.width ?? 0, height: placed.height ?? 0, spots, rails, edges };
}

import type { Corner } from '../../api/types';

/** A floor drawn to fit, and the way back from the drawing to the floor. */
export interface Sketch {
  width: number;
  height: number;
  /** Pixels to a metre. */
  k: number;
  px: (x: number) => number;
  py: (y: number) => number;
  /** Metres of a place in the drawing, to the centimetre that a place is stored to. */
  floor: (px: number, py: number) => Corner;
  path: (ring: readonly Corner[]) => string;
  minX: number;
  minY: number;
  maxX: number;
  maxY: number;
}

const centimetres = (metres: number) => Math.round(metres * 100) / 100;

/** @param most pixels that the floor may be high */
export function sketch(
  corners: readonly Corner[],
  width: number,
  most: number,
  margin: number,
): Sketch {
  const minX = Math.min(...corners.map((c) => c.x));
  const minY = Math.min(...corners.map((c) => c.y));
  const maxX = Math.max(...corners.map((c) => c.x));
  const maxY = Math.max(...corners.map((c) => c.y));
  const k = Math.min((width - 2 * margin) / (maxX - minX), most / (maxY - minY));
  const px = (x: number) => margin + (x - minX) * k;
  const py = (y: number) => margin + (maxY - y) * k;
  return {
    width,
    height: (maxY - minY) * k + 2 * margin,
    k,
    px,
    py,
    floor: (x, y) => ({
      x: centimetres((x - margin) / k + minX),
      y: centimetres(maxY - (y - margin) / k),
    }),
    path: (ring) =>
      `${ring.map((c, i) => `${i === 0 ? 'M' : 'L'}${px(c.x)} ${py(c.y)}`).join('')}Z`,
    minX,
    minY,
    maxX,
    maxY,
  };
}

/** Where a pointer is in a drawing, whatever size it is shown at. */
export function inDrawing(event: PointerEvent, svg: SVGSVGElement, width: number) {
  const box = svg.getBoundingClientRect();
  const scale = box.width / width;
  return { x: (event.clientX - box.left) / scale, y: (event.clientY - box.top) / scale };
}

/** What makes a drawing look as it does, wherever its colours and sizes were said. */
const LOOKS = [
  'fill',
  'fill-opacity',
  'fill-rule',
  'stroke',
  'stroke-width',
  'stroke-opacity',
  'stroke-dasharray',
  'stroke-dashoffset',
  'stroke-linecap',
  'stroke-linejoin',
  'opacity',
  'font-family',
  'font-size',
  'font-weight',
  'text-anchor',
  'dominant-baseline',
  'paint-order',
  'vector-effect',
] as const;

/** Sharp on paper: points of a picture for each point of the screen. */
const SHARPNESS = 3;

/**
 * A drawing as a file of its own (SVG 1.1): with its colours written into it, on the ground on which it stands, without
 * what is there only for whoever works with it.
 */
export function pictureOf(drawing: SVGSVGElement): string {
  const { width, height } = drawing.getBoundingClientRect();
  const copy = drawing.cloneNode(true) as SVGSVGElement;
  writeLooks(drawing, copy);
  copy.setAttribute('xmlns', 'http://www.w3.org/2000/svg');
  copy.setAttribute('width', String(Math.round(width)));
  copy.setAttribute('height', String(Math.round(height)));
  copy.prepend(groundBehind(drawing, copy));
  return new XMLSerializer().serializeToString(copy);
}

/** The same as points. */
export async function pointsOf(drawing: SVGSVGElement): Promise<Blob> {
  const canvas = await canvasOf(drawing);
  return new Promise((resolve, reject) => {
    canvas.toBlob((blob) => (blob ? resolve(blob) : reject(new Error('no picture'))), 'image/png');
  });
}

/** The same, drawn on a canvas. */
export async function canvasOf(drawing: SVGSVGElement): Promise<HTMLCanvasElement> {
  const { width, height } = drawing.getBoundingClientRect();
  const image = new Image();
  image.src = `data:image/svg+xml;charset=utf-8,${encodeURIComponent(pictureOf(drawing))}`;
  await image.decode();
  const canvas = document.createElement('canvas');
  canvas.width = Math.round(width * SHARPNESS);
  canvas.height = Math.round(height * SHARPNESS);
  canvas.getContext('2d')?.drawImage(image, 0, 0, canvas.width, canvas.height);
  return canvas;
}

/** Both trees are the same until what is not shown is taken out of the copy. */
function writeLooks(shown: Element, copy: Element): void {
  const style = getComputedStyle(shown);
  const looks = LOOKS.map((name) => [name, style.getPropertyValue(name)] as const);
  const pairs = [...shown.children].map((child, index) => [child, copy.children[index]] as const);
  for (const [child, its] of pairs) {
    if (!its) continue;
    const { display, visibility } = getComputedStyle(child);
    if (display === 'none' || visibility === 'hidden') its.remove();
    else writeLooks(child, its);
  }
  for (const name of ['class', 'style']) copy.removeAttribute(name);
  // As attributes, which every program reads and no policy of the page refuses.
  for (const [name, value] of looks) copy.setAttribute(name, value);
}

/** The colour of whatever the drawing lies on: its lines are drawn to be seen on that. */
function groundBehind(drawing: Element, copy: SVGSVGElement): SVGRectElement {
  const box = copy.viewBox.baseVal;
  const ground = document.createElementNS('http://www.w3.org/2000/svg', 'rect');
  for (const [name, value] of [
    ['x', box.x],
    ['y', box.y],
    ['width', box.width],
    ['height', box.height],
  ] as const) {
    ground.setAttribute(name, String(value));
  }
  ground.setAttribute('fill', colourBehind(drawing));
  ground.setAttribute('stroke', 'none');
  return ground;
}

function colourBehind(element: Element | null): string {
  if (!element) return 'white';
  const { backgroundColor } = getComputedStyle(element);
  return /^rgba\(.*, 0\)$|^transparent$/.test(backgroundColor)
    ? colourBehind(element.parentElement)
    : backgroundColor;
}

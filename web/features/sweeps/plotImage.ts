const SCALE = 2;
const NAME_PX = 13;

/** Every chart inside an element, one below the other, as a PNG at twice the size of the screen. */
export async function plotImage(
  element: HTMLElement,
  names: readonly string[],
  { background, ink }: { background: string; ink: string },
): Promise<Blob | undefined> {
  const charts = [...element.querySelectorAll<SVGSVGElement>('svg.recharts-surface')];
  const outer = element.getBoundingClientRect();
  const canvas = document.createElement('canvas');
  canvas.width = SCALE * outer.width;
  canvas.height = SCALE * outer.height;
  const context = canvas.getContext('2d');
  if (!context) return undefined;
  context.fillStyle = background;
  context.fillRect(0, 0, canvas.width, canvas.height);
  context.font = `600 ${SCALE * NAME_PX}px sans-serif`;
  for (const [i, chart] of charts.entries()) {
    const { left, top, width, height } = chart.getBoundingClientRect();
    const image = await drawn(chart);
    context.fillStyle = ink;
    context.fillText(names[i] ?? '', SCALE * (left - outer.left + NAME_PX), SCALE * (top - outer.top - 4));
    context.drawImage(
      image,
      SCALE * (left - outer.left),
      SCALE * (top - outer.top),
      SCALE * width,
      SCALE * height,
    );
  }
  return new Promise((resolve) => canvas.toBlob((blob) => resolve(blob ?? undefined), 'image/png'));
}

function drawn(chart: SVGSVGElement): Promise<HTMLImageElement> {
  const copy = chart.cloneNode(true) as SVGSVGElement;
  copy.setAttribute('xmlns', 'http://www.w3.org/2000/svg');
  copy.style.fontFamily = getComputedStyle(chart).fontFamily;
  const image = new Image();
  const ready = new Promise<HTMLImageElement>((resolve, reject) => {
    image.onload = () => resolve(image);
    image.onerror = () => reject(new Error('The plot could not be drawn as an image.'));
  });
  image.src = `data:image/svg+xml;charset=utf-8,${encodeURIComponent(new XMLSerializer().serializeToString(copy))}`;
  return ready;
}

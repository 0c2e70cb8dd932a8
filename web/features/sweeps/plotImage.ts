const NAME_PX = 13;

/** Every plot inside an element, one below the other with its name, as a PNG as sharp as the screen. */
export function plotImage(
  element: HTMLElement,
  names: readonly string[],
  { background, ink }: { background: string; ink: string },
): Promise<Blob | undefined> {
  const plots = [...element.querySelectorAll('canvas')];
  const outer = element.getBoundingClientRect();
  const picture = document.createElement('canvas');
  const sharp = (plots[0]?.width ?? 1) / (plots[0]?.clientWidth ?? 1);
  picture.width = Math.round(sharp * outer.width);
  picture.height = Math.round(sharp * outer.height);
  const draw = picture.getContext('2d');
  if (!draw) return Promise.resolve(undefined);
  draw.scale(sharp, sharp);
  draw.fillStyle = background;
  draw.fillRect(0, 0, outer.width, outer.height);
  draw.fillStyle = ink;
  draw.font = `600 ${NAME_PX}px sans-serif`;
  plots.forEach((plot, i) => {
    const { left, top, width, height } = plot.getBoundingClientRect();
    draw.fillText(names[i] ?? '', left - outer.left + NAME_PX, top - outer.top - 4);
    draw.drawImage(plot, left - outer.left, top - outer.top, width, height);
  });
  return new Promise((resolve) => picture.toBlob((blob) => resolve(blob ?? undefined), 'image/png'));
}

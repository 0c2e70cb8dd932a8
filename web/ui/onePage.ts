/** What stands on the screen and on no paper: it carries this attribute. */
export const SCREEN_ONLY = { 'data-screen-only': '' } as const;

/**
 * A part of the page as one HTML file that needs nothing else: its rules are inside, and so are the letters that it is set in.
 *
 * @param part of the page, as it stands
 */
export async function onePage(part: HTMLElement, title: string): Promise<string> {
  const copy = part.cloneNode(true) as HTMLElement;
  for (const element of copy.querySelectorAll('[data-screen-only], script')) element.remove();
  const rules = [...document.styleSheets].flatMap((sheet) => [...sheet.cssRules]);
  const texts = await Promise.all(rules.map(textOf));
  const page = document.implementation.createHTMLDocument(title);
  page.documentElement.lang = document.documentElement.lang;
  page.documentElement.style.cssText = document.documentElement.style.cssText;
  const charset = page.createElement('meta');
  charset.setAttribute('charset', 'utf-8');
  const style = page.createElement('style');
  style.textContent = texts.filter((text) => text !== undefined).join('\n');
  page.head.prepend(charset);
  page.head.append(style);
  page.body.append(page.importNode(copy, true));
  return `<!doctype html>\n${page.documentElement.outerHTML}\n`;
}

/** A font is left out where its letters are of scripts that nothing here is written in. */
async function textOf(rule: CSSRule): Promise<string | undefined> {
  if (!(rule instanceof CSSFontFaceRule)) return rule.cssText;
  const range = rule.style.getPropertyValue('unicode-range');
  if (range && !LATIN.test(range)) return undefined;
  const address = /url\("?([^")]+)"?\)/u.exec(rule.style.getPropertyValue('src'))?.[1];
  if (!address) return rule.cssText;
  const base = rule.parentStyleSheet?.href ?? document.baseURI;
  try {
    const answer = await fetch(new URL(address, base));
    return answer.ok ? rule.cssText.replace(address, await dataAddressOf(await answer.blob())) : undefined;
  } catch {
    // With the server gone the page is kept all the same, in whatever letters its reader has.
    return undefined;
  }
}
/** Latin letters, and those with marks. */
const LATIN = /U\+0{0,3}[01]\d?\d?/iu;

const dataAddressOf = (bytes: Blob): Promise<string> =>
  new Promise((resolve, reject) => {
    const reader = new FileReader();
    reader.onload = () => resolve(typeof reader.result === 'string' ? reader.result : '');
    reader.onerror = () => reject(reader.error ?? new Error('The font could not be read.'));
    reader.readAsDataURL(bytes);
  });

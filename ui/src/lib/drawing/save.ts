/** A text that the page lays over the drawing, and where its middle is. */
export interface Label {
  x: number;
  y: number;
  text: string;
}

/** The text of a drawing that stands on its own: colours and labels are written into it. */
export function standalone(svg: SVGSVGElement, labels: Label[] = []): string {
  const copy = svg.cloneNode(true) as SVGSVGElement;
  const styles = getComputedStyle(document.documentElement);
  copy.setAttribute('xmlns', 'http://www.w3.org/2000/svg');
  copy.setAttribute('font-family', 'sans-serif');
  for (const element of [copy, ...copy.querySelectorAll('*')]) {
    element.removeAttribute('class');
    for (const name of ['fill', 'stroke']) {
      const token = /^var\((--[\w-]+)\)$/.exec(element.getAttribute(name) ?? '')?.[1];
      if (token) {
        element.setAttribute(name, styles.getPropertyValue(token).trim() || 'black');
      }
    }
  }
  for (const label of labels) {
    const text = document.createElementNS('http://www.w3.org/2000/svg', 'text');
    const place = { x: label.x, y: label.y + 4, 'font-size': 12, 'text-anchor': 'middle' };
    for (const [name, value] of Object.entries(place)) text.setAttribute(name, String(value));
    text.textContent = label.text;
    copy.append(text);
  }
  return new XMLSerializer().serializeToString(copy);
}

/** Saves a drawing as an SVG file. */
export function saveSvg(svg: SVGSVGElement, name: string, labels: Label[] = []) {
  const address = URL.createObjectURL(
    new Blob([standalone(svg, labels)], { type: 'image/svg+xml' })
  );
  const link = document.createElement('a');
  link.href = address;
  link.download = name;
  link.click();
  URL.revokeObjectURL(address);
}

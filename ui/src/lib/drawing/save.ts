/** The text of a drawing that stands on its own: colours of the design are written into it. */
export function standalone(svg: SVGSVGElement): string {
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
  return new XMLSerializer().serializeToString(copy);
}

/** Saves a drawing as an SVG file. */
export function saveSvg(svg: SVGSVGElement, name: string) {
  const address = URL.createObjectURL(new Blob([standalone(svg)], { type: 'image/svg+xml' }));
  const link = document.createElement('a');
  link.href = address;
  link.download = name;
  link.click();
  URL.revokeObjectURL(address);
}

import type { Locator } from '@playwright/test';

/** Pairs of texts of a drawing that stand on each other, as they are painted. */
export const collisions = (drawing: Locator): Promise<string[]> =>
  drawing.evaluate((svg) => {
    const texts = [...svg.querySelectorAll('text')].map((text) => ({
      text: text.textContent ?? '',
      box: text.getBoundingClientRect(),
    }));
    return texts.flatMap((a, i) =>
      texts.slice(i + 1).flatMap((b) => {
        const across = Math.min(a.box.right, b.box.right) - Math.max(a.box.left, b.box.left);
        const down = Math.min(a.box.bottom, b.box.bottom) - Math.max(a.box.top, b.box.top);
        // Painted boxes are higher than their letters.
        return across > 1 && down > 4 ? [`${a.text} on ${b.text}`] : [];
      }),
    );
  });

/** Texts of a drawing whose letters stand on a duct, as both are painted. */
export const onDucts = (drawing: Locator): Promise<string[]> =>
  drawing.evaluate((svg) => {
    const shapes = [...svg.querySelectorAll('[data-duct]')].flatMap((duct) =>
      [...duct.querySelectorAll('path, polygon, polyline, line, circle')].filter(
        (shape) => shape instanceof SVGGeometryElement,
      ),
    );
    return [...svg.querySelectorAll('text')].flatMap((text) => {
      const { x, y, width, height } = text.getBBox();
      const toScreen = text.getScreenCTM();
      if (!toScreen) return [];
      // The box of a text is higher than its letters, and as wide.
      for (let along = 1; along < width; along += 3) {
        for (const share of [0.3, 0.5, 0.7]) {
          const at = new DOMPoint(x + along, y + share * height).matrixTransform(toScreen);
          const covered = shapes.some((shape) => {
            const own = shape.getScreenCTM();
            if (!own) return false;
            const point = at.matrixTransform(own.inverse());
            const isFilled = getComputedStyle(shape).fill !== 'none';
            return shape.isPointInStroke(point) || (isFilled && shape.isPointInFill(point));
          });
          if (covered) return [text.textContent ?? ''];
        }
      }
      return [];
    });
  });

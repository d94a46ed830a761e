import { useLayoutEffect, useRef, useState, type RefObject } from 'react';

/** The size of an element in px, followed as it changes; zero before the first layout. */
export function useBox<E extends Element>(): [
  RefObject<E | null>,
  { readonly width: number; readonly height: number },
] {
  const ref = useRef<E>(null);
  const [box, setBox] = useState({ width: 0, height: 0 });
  useLayoutEffect(() => {
    const element = ref.current;
    if (!element) return;
    const measure = () => {
      const { width, height } = element.getBoundingClientRect();
      setBox((before) =>
        Math.abs(before.width - width) < 1 && Math.abs(before.height - height) < 1
          ? before
          : { width, height },
      );
    };
    measure();
    const observer = new ResizeObserver(measure);
    observer.observe(element);
    return () => observer.disconnect();
  }, []);
  return [ref, box];
}

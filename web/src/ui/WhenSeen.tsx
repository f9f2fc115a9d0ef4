import { useEffect, useRef, useState, type ReactNode } from 'react';

/** What is much to draw and stands below the fold: it is drawn when it comes into sight, and its room is kept for it. */
export function WhenSeen({ height, children }: { readonly height: number; readonly children: ReactNode }) {
  const place = useRef<HTMLDivElement>(null);
  const [isSeen, setSeen] = useState(() => typeof IntersectionObserver === 'undefined');
  useEffect(() => {
    if (isSeen || !place.current) return undefined;
    const watch = new IntersectionObserver((entries) => {
      if (entries.some(({ isIntersecting }) => isIntersecting)) setSeen(true);
    });
    watch.observe(place.current);
    // on paper everything is in sight
    const draw = () => setSeen(true);
    addEventListener('beforeprint', draw);
    return () => {
      watch.disconnect();
      removeEventListener('beforeprint', draw);
    };
  }, [isSeen]);
  return (
    <div ref={place} style={{ minHeight: height }}>
      {isSeen && children}
    </div>
  );
}

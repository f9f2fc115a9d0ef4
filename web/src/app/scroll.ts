import { useEffect, useLayoutEffect, useRef } from 'react';
import { useLocation, useNavigationType } from 'react-router';

/** Every page that a tab is opened at has the same key: its address tells them apart. */
const keptAs = (key: string, pathname: string) => `rundel.scroll ${key} ${pathname}`;
/** A screen that is gone back to may still be loading; so long is waited for it to be as tall as it was, ms. */
const PATIENCE = 1500;

/**
 * Goes to the top of a screen that is gone to, and back to where one was on one that is come back to. What changes in the
 * address of the same screen moves nothing.
 */
export function useScrollPlaces(): void {
  const { key, pathname, hash } = useLocation();
  const isBack = useNavigationType() === 'POP';
  const last = useRef(pathname);
  useEffect(() => {
    history.scrollRestoration = 'manual';
    const keep = () => sessionStorage.setItem(keptAs(key, pathname), String(Math.round(scrollY)));
    addEventListener('scrollend', keep);
    addEventListener('pagehide', keep);
    return () => {
      removeEventListener('scrollend', keep);
      removeEventListener('pagehide', keep);
    };
  }, [key, pathname]);
  useLayoutEffect(() => {
    const isSame = last.current === pathname;
    last.current = pathname;
    const kept = isBack ? Number(sessionStorage.getItem(keptAs(key, pathname)) ?? 0) : 0;
    if (hash) {
      document.getElementById(decodeURIComponent(hash.slice(1)))?.scrollIntoView();
      return undefined;
    }
    if (!isBack && isSame) return undefined;
    return scrollOnceTall(kept);
  }, [hash, isBack, key, pathname]);
}

/** Scrolls to a place as soon as the page reaches down to it, unless the reader begins to scroll. */
function scrollOnceTall(place: number): () => void {
  const isTall = () => document.documentElement.scrollHeight - innerHeight >= place;
  scrollTo(0, place);
  // the top is always there, and to ask how tall a page is has it laid out at once
  if (place === 0 || isTall()) return () => undefined;
  const watch = new ResizeObserver(() => {
    if (!isTall()) return;
    scrollTo(0, place);
    stop();
  });
  const stop = () => {
    watch.disconnect();
    clearTimeout(timer);
    removeEventListener('wheel', stop);
    removeEventListener('touchmove', stop);
  };
  const timer = setTimeout(stop, PATIENCE);
  addEventListener('wheel', stop, { passive: true });
  addEventListener('touchmove', stop, { passive: true });
  watch.observe(document.documentElement);
  return stop;
}

'use client';

import { scaleLinear } from 'd3-scale';
import { useEffect, useRef, useState, type ReactNode } from 'react';
import type { Rect } from '@/core/geometry/plane';

/** How drawing millimetres stand on the screen. */
export interface Fit {
  /** px per mm. */
  readonly k: number;
  readonly x: (mm: number) => number;
  readonly y: (mm: number) => number;
  readonly width: number;
  readonly height: number;
}

/** Room for dimensions round the drawing, px. */
export interface Room {
  readonly top: number;
  readonly right: number;
  readonly bottom: number;
  readonly left: number;
}

export function fitTo(bounds: Rect, width: number, height: number, room: Room): Fit {
  const w = Math.max(1, width - room.left - room.right);
  const h = Math.max(1, height - room.top - room.bottom);
  const k = Math.min(w / bounds.width, h / bounds.height);
  const left = room.left + (w - k * bounds.width) / 2;
  const top = room.top + (h - k * bounds.height) / 2;
  const x = scaleLinear([bounds.x, bounds.x + bounds.width], [left, left + k * bounds.width]);
  const y = scaleLinear([bounds.y, bounds.y + bounds.height], [top, top + k * bounds.height]);
  return { k, x, y, width, height };
}

interface Props {
  readonly bounds: Rect;
  readonly room: Room;
  readonly label: string;
  /** Drawn in the SVG. */
  readonly draw: (fit: Fit) => ReactNode;
  /** HTML laid under it, placed by the same fit. */
  readonly under?: (fit: Fit) => ReactNode;
  /** HTML laid over it, placed by the same fit. */
  readonly over?: (fit: Fit) => ReactNode;
  readonly className?: string;
  /** Holds things that can be dragged or focused, so it is a group and not one picture. */
  readonly interactive?: boolean;
}

/** A drawing to scale that fills its place. Entries sit on the drawing, at the thing they measure. */
export function ScaleDrawing({
  bounds,
  room,
  label,
  draw,
  under,
  over,
  className = 'absolute inset-0',
  interactive = false,
}: Props) {
  const ref = useRef<HTMLDivElement>(null);
  const [size, setSize] = useState<{ width: number; height: number } | null>(null);
  useEffect(() => {
    const el = ref.current;
    if (!el) return;
    const observer = new ResizeObserver(([entry]) => {
      if (entry) setSize({ width: entry.contentRect.width, height: entry.contentRect.height });
    });
    observer.observe(el);
    return () => observer.disconnect();
  }, []);
  const fit = size && fitTo(bounds, size.width, size.height, room);
  return (
    <div ref={ref} className={className}>
      {fit && under?.(fit)}
      {fit && (
        <svg
          width={fit.width}
          height={fit.height}
          role={interactive ? 'group' : 'img'}
          aria-label={label}
          className="absolute inset-0 touch-pan-y"
        >
          <Patterns />
          {draw(fit)}
        </svg>
      )}
      {fit && over?.(fit)}
    </div>
  );
}

/** Hatching where dye must not go, and for what is bare. */
const Patterns = () => (
  <defs>
    <pattern id="hatch" width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
      <line x1="0" y1="0" x2="0" y2="7" stroke="#c8371b" strokeWidth="1.6" />
    </pattern>
    <pattern id="hatch-soft" width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
      <line x1="0" y1="0" x2="0" y2="7" stroke="#c8371b" strokeOpacity="0.45" strokeWidth="1.4" />
    </pattern>
    {/* The same for drawings in millimetres. */}
    <pattern
      id="hatch-mm"
      width="2.4"
      height="2.4"
      patternUnits="userSpaceOnUse"
      patternTransform="rotate(45)"
    >
      <line x1="0" y1="0" x2="0" y2="2.4" stroke="#c8371b" strokeWidth="0.6" />
    </pattern>
    <pattern
      id="hatch-soft-mm"
      width="2.4"
      height="2.4"
      patternUnits="userSpaceOnUse"
      patternTransform="rotate(45)"
    >
      <line x1="0" y1="0" x2="0" y2="2.4" stroke="#c8371b" strokeOpacity="0.45" strokeWidth="0.55" />
    </pattern>
    <marker
      id="tip"
      viewBox="0 0 8 8"
      refX="7.5"
      refY="4"
      markerWidth="8"
      markerHeight="8"
      orient="auto-start-reverse"
    >
      <path d="M0 0.8 L8 4 L0 7.2 Z" fill="#14211f" />
    </marker>
  </defs>
);

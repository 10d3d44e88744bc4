import type { FlyGroup } from './Fly';

const SHAPES: Record<FlyGroup, React.ReactNode> = {
  Route: (
    <>
      <path d="M4 24C14 24 14 8 24 8s12 14 16 14" />
      <circle cx="24" cy="8" r="2.4" fill="var(--time)" stroke="none" />
    </>
  ),
  Aim: (
    <>
      <path d="M6 16h24" />
      <path d="M25 10l7 6-7 6" />
      <circle cx="38" cy="16" r="2" fill="var(--time)" stroke="none" />
    </>
  ),
  Handheld: <path d="M4 16c3-9 5 9 8 0s4-7 7 1 4 6 7-2 4-6 6 2 4 4 8-1" />,
  Lens: (
    <>
      <path d="M14 4c6 7 6 17 0 24M14 4c-6 7-6 17 0 24" />
      <path d="M22 12l16-6M22 20l16 6" stroke="var(--time)" />
    </>
  ),
  Focus: (
    <>
      <path d="M4 8l20 8L4 24M24 16l16-6M24 16l16 6" />
      <path d="M24 6v20" stroke="var(--time)" />
    </>
  ),
  Shutter: (
    <>
      <circle cx="22" cy="16" r="11" />
      <path d="M22 16V5a11 11 0 0 1 0 22Z" fill="var(--time)" fillOpacity="0.35" stroke="var(--time)" />
    </>
  ),
};

export function FlyDrawing({ group }: { group: FlyGroup }) {
  return (
    <svg
      viewBox="0 0 44 32"
      width="44"
      height="32"
      fill="none"
      stroke="currentColor"
      strokeWidth="1.4"
      strokeLinecap="round"
      strokeLinejoin="round"
    >
      {SHAPES[group]}
    </svg>
  );
}

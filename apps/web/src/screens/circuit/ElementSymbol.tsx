import type { CircuitElement } from '@brookrain/core';

/** Symbols in the product's own hand, drawn around (0, 0). */
export function ElementSymbol({
  element,
  selected,
}: {
  element: CircuitElement;
  selected: boolean;
}) {
  const stroke = selected ? 3 : 1.5;
  const common = { fill: 'var(--paper)', stroke: 'var(--ink)', strokeWidth: stroke };
  const thin = { stroke: 'var(--ink)', strokeWidth: 0.75 };
  switch (element.kind) {
    case 'fitting':
      return <path d="M-4-8V8M4-8V8" stroke="var(--ink)" strokeWidth={stroke} />;
    case 'orifice':
      return <path d="M0-12V-3M0 3V12M-5-12H5M-5 12H5" stroke="var(--ink)" strokeWidth={stroke} />;
    case 'filter':
      return (
        <g>
          <path d="M-13-10H13L9 10H-9Z" {...common} />
          <path d="M-6-5V5M0-5V5M6-5V5" {...thin} />
        </g>
      );
    case 'pump':
      return (
        <g>
          <rect x="-16" y="-16" width="32" height="32" {...common} />
          <path d="M-7-8 9 0-7 8Z" fill="var(--moss)" />
          {element.control && <path d="M-12 12H12" stroke="var(--moss)" strokeWidth="3" />}
        </g>
      );
    case 'regulator':
      return (
        <g>
          <path d="M-14-11 0 0-14 11ZM14-11 0 0 14 11Z" {...common} />
          <path d="M0 0V-19M-7-19H7" stroke="var(--ink)" strokeWidth="1.5" />
        </g>
      );
    case 'dead-head-regulator':
      return (
        <g>
          <path d="M-14-11 0 0-14 11ZM14-11 0 0 14 11Z" {...common} />
          <path d="M-6-18H6V-12H-6Z" {...common} />
        </g>
      );
    case 'filter-regulator':
      return (
        <g>
          <path d="M-16-12H16V12H-16Z" {...common} />
          <path d="M-11-6V6M-6-6V6" {...thin} />
          <path d="M-1-6 6 0-1 6ZM13-6 6 0 13 6Z" fill="var(--ink)" />
        </g>
      );
    case 'surge-tank':
      return (
        <g>
          <path d="M-15-20H15V20H-15Z" {...common} />
          <path d="M-13-8q6-4 13 0t13 0" fill="none" stroke="var(--moss)" strokeWidth="1.5" />
        </g>
      );
    case 'tank':
    case 'line':
    case 'injectors':
      return null;
  }
}

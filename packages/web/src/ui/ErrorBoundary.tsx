import { Component, type ReactNode } from 'react';

interface FaultBoundaryProps {
  /** What stands in place of a view that broke. */
  readonly instead: ReactNode;
  readonly children: ReactNode;
}

/** Keeps a fault in one view from taking the whole page away. */
export class ErrorBoundary extends Component<FaultBoundaryProps, { readonly broken: boolean }> {
  override readonly state = { broken: false };

  static getDerivedStateFromError(): { readonly broken: boolean } {
    return { broken: true };
  }

  override render(): ReactNode {
    return this.state.broken ? this.props.instead : this.props.children;
  }
}

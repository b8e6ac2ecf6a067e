import { Component, type ReactNode } from 'react';
import { Broken } from './Broken';

interface Props {
  /** Before what is inside is drawn again. */
  onRetry?: () => void;
  children: ReactNode;
}

/** Where what is inside cannot be drawn, that is said in its place, and everything round it stays as it is. */
export class Boundary extends Component<Props, { error: unknown }> {
  override state: { error: unknown } = { error: null };

  static getDerivedStateFromError(error: unknown) {
    return { error: error ?? new Error() };
  }

  override render() {
    if (this.state.error === null) return this.props.children;
    return (
      <Broken
        error={this.state.error}
        onRetry={() => {
          this.props.onRetry?.();
          this.setState({ error: null });
        }}
      />
    );
  }
}

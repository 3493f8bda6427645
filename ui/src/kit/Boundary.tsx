import { Component, type ReactNode } from "react";
import { Button } from "./kit";
import * as say from "../words/kit";

interface Props {
  /** What stands where: another one begins with a clean sheet. */
  at: string;
  children: ReactNode;
}

interface State {
  error: Error | null;
  at: string;
}

/** Keeps a fault of one part from taking the page with it. */
export class Boundary extends Component<Props, State> {
  override state: State = { error: null, at: this.props.at };

  static getDerivedStateFromError(error: Error): Partial<State> {
    return { error };
  }

  static getDerivedStateFromProps(props: Props, state: State): Partial<State> | null {
    return props.at === state.at ? null : { at: props.at, error: null };
  }

  override render() {
    if (!this.state.error) return this.props.children;
    return (
      <div className="board p-6 m-3" role="alert">
        <h2>{say.thisPartCannot}</h2>
        <p className="text-soft my-2">{say.whatYouTyped}</p>
        <div className="flex gap-2">
          <Button look="main" onClick={() => this.setState({ error: null })}>
            {say.tryAgain}
          </Button>
          <Button onClick={() => window.location.reload()}>{say.loadPageAnew}</Button>
        </div>
      </div>
    );
  }
}

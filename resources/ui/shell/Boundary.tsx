import { Component, type ReactNode } from 'react';
import { Link, useLocation } from 'react-router';
import { Button } from '../parts/Button';
import { Page } from '../parts/Page';

const MARK = 'jorvel.reloaded';

/** A page of an older build asks for parts that an update has taken away. */
const gone = (e: Error): boolean =>
    /dynamically imported module|Importing a module|ChunkLoadError|Unable to preload/.test(`${e.name} ${e.message}`);

type Props = { children: ReactNode };

class Catch extends Component<Props, { error: Error | null }> {
    override state = { error: null as Error | null };

    static getDerivedStateFromError(error: Error) {
        return { error };
    }

    override componentDidCatch(error: Error) {
        // Once, for the new build; a second time it would only go round in circles.
        if (gone(error) && sessionStorage.getItem(MARK) === null) {
            sessionStorage.setItem(MARK, '1');
            window.location.reload();
        }
    }

    override render() {
        const { error } = this.state;
        if (error === null) {
            return this.props.children;
        }
        return (
            <Page
                sentence={
                    gone(error) ? 'Jorvel was updated while this page was open.' : 'This page could not be shown.'
                }
                note="What you saved is saved, and what waits on this device is kept. Everything else of Jorvel goes on."
            >
                <p className="mb-4 font-mono text-sm text-soft">{error.message}</p>
                <div className="flex gap-3">
                    <Button kind="main" onClick={() => this.setState({ error: null })}>
                        Show it again
                    </Button>
                    <Button onClick={() => window.location.reload()}>Reload</Button>
                </div>
            </Page>
        );
    }
}

/** Whatever breaks in a page stays in the page: the rooms, the clock and what waits stay. Another page begins anew. */
export function Boundary({ children }: Props) {
    const place = useLocation();
    return <Catch key={place.pathname}>{children}</Catch>;
}

/** An address that leads nowhere. */
export function Nowhere() {
    const place = useLocation();
    return (
        <Page sentence="There is no page at this address." note={place.pathname}>
            <Link className="inline-flex min-h-12 items-center underline underline-offset-4" to="/fleet">
                To Fleet
            </Link>
        </Page>
    );
}

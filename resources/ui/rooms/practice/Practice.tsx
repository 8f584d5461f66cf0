import { Page } from '../../parts/Page';

/** Empty until the simulators come. */
export function Practice() {
    return (
        <Page
            sentence="The practice room is empty."
            note="A practice aircraft to rig and test will stand here, with simulated instruments that drift, step and fail, scored by runs used, limits broken and steps missed."
        >
            <p>
                Until then, the cards of the demo world can be worked freely: nothing in it is real, and a fresh one is
                loaded with the demo's reset.
            </p>
        </Page>
    );
}

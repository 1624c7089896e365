import { styled } from 'styled-components'
import { narrow, space } from '~/ui/theme'
import { Announcer } from './Announcer'
import { ClosingBar } from './ClosingBar'
import { StageTape } from './StageTape'
import { Unsent } from './Unsent'
import { WallHeader } from './WallHeader'

const Page = styled.div`
  display: grid;
  grid-template-rows: auto auto auto 1fr auto;
  height: 100dvh;
  ${narrow} {
    height: auto;
    min-height: 100dvh;
    /* what a thumb presses stands over the page's foot */
    &:has([data-thumb-bar]) {
      padding-bottom: 92px;
    }
  }
  /* on paper there is the page itself, not its frame */
  @media print {
    display: block;
    height: auto;
    & > :not(main) {
      display: none;
    }
  }
`
const Middle = styled.main`
  min-height: 0;
  display: grid;
  @media print {
    display: block;
  }
`

/** The wall page's frame: header, stages, the stage at work, the closing sum. */
export function Workbench({ children }: { children: React.ReactNode }) {
  return (
    <Page>
      <WallHeader />
      <StageTape />
      <Unsent />
      <Middle>{children}</Middle>
      <ClosingBar />
      <Announcer />
    </Page>
  )
}

/** A stage: the drawing with its heading, and what goes with it at the side. */
export const Split = styled.div`
  min-height: 0;
  display: grid;
  grid-template-columns: minmax(0, 1fr) 330px;
  ${narrow} {
    grid-template-columns: minmax(0, 1fr);
  }
  @media print {
    display: block;
  }
`
export const Drawn = styled.section`
  min-height: 0;
  display: grid;
  grid-template-rows: auto minmax(0, 1fr) auto;
  padding: ${space.m} ${space.l} 0;
  ${narrow} {
    display: block;
    padding: ${space.m} ${space.s} 0;
  }
  @media print {
    display: block;
    padding: 0;
    overflow: visible;
  }
`
/** What scrolls can be reached by the keyboard. */
export const Side = styled.aside.attrs({ tabIndex: 0 })`
  min-height: 0;
  overflow-y: auto;
  padding: ${space.l};
  background: var(--paper);
  border-left: 1px solid var(--line);
  display: grid;
  align-content: start;
  /* what keeps room free for an answer still grows with it where all of it runs over */
  grid-auto-rows: max-content;
  gap: ${space.l};
  ${narrow} {
    border-left: 0;
    border-top: 1px solid var(--line);
    padding: ${space.m};
  }
  @media print {
    display: block;
    overflow: visible;
    padding: ${space.m} 0;
    border: 0;
  }
`
export const Heading = styled.div`
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  justify-content: space-between;
  gap: ${space.xs} ${space.l};
  & p {
    color: var(--ink-soft);
  }
`

/** A stage that is a list: it scrolls as one column. */
export const Column = styled.section.attrs({ tabIndex: 0 })`
  min-height: 0;
  overflow-y: auto;
  padding: ${space.m} ${space.l};
  display: flex;
  flex-direction: column;
  gap: ${space.l};
  & > * {
    flex: none;
  }
  ${narrow} {
    padding: ${space.m} ${space.s};
  }
  @media print {
    display: block;
    overflow: visible;
    padding: 0;
  }
`

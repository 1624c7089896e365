import { fireEvent, render, screen } from '@testing-library/react'
import { useState } from 'react'
import { inches, type Length } from '~/length'
import { LengthField } from './LengthField'

const format = { units: 'inches', tape: '1/16' } as const

function Harness({ seen }: { seen: Length[] }) {
  const [value, setValue] = useState(inches(29.75))
  const [unread, setUnread] = useState<string | null>(null)
  return (
    <>
      <LengthField
        label="Width"
        value={value}
        format={format}
        least={inches(1)}
        onChange={(next) => {
          seen.push(next)
          setValue(next)
        }}
        onUnread={(now) => setUnread(now?.problem ?? null)}
      />
      <output>{unread ?? 'readable'}</output>
    </>
  )
}

function box(): HTMLInputElement {
  return screen.getByRole('textbox', { name: 'Width' })
}

describe('a length as people type it', () => {
  test('shows the value with its unit and reads while typing', () => {
    const seen: Length[] = []
    render(<Harness seen={seen} />)
    expect(box().value).toBe('29 3/4 in')
    fireEvent.change(box(), { target: { value: "2' 6" } })
    expect(seen).toEqual([inches(30)])
    expect(box().value).toBe("2' 6")
    fireEvent.focus(box())
    fireEvent.blur(box())
    expect(box().value).toBe('30 in')
  })

  test('what can’t be read stays, with the reason beside it, and changes nothing', () => {
    const seen: Length[] = []
    render(<Harness seen={seen} />)
    fireEvent.change(box(), { target: { value: '12 q' } })
    fireEvent.focus(box())
    fireEvent.blur(box())
    expect(box().value).toBe('12 q')
    expect(box().getAttribute('aria-invalid')).toBe('true')
    expect(screen.getAllByText(/can't be read from “q” on/).length).toBeGreaterThan(0)
    expect(seen).toEqual([])
  })

  test('a readable length below the least is refused with the limit', () => {
    const seen: Length[] = []
    render(<Harness seen={seen} />)
    fireEvent.change(box(), { target: { value: '-4' } })
    expect(screen.getByRole('status').textContent).toBe('-4 in is too small here. Write 1 in or more.')
    expect(seen).toEqual([])
  })
})

describe('what was typed and not left', () => {
  const field = (said: string[]) => (
    <LengthField
      label="Width"
      value={inches(20)}
      format={format}
      onChange={() => said.push('changed')}
      onCommit={() => said.push('committed')}
      onRestore={() => said.push('restored')}
    />
  )

  test('counts when the field is taken away, and is gone with Esc', () => {
    const said: string[] = []
    const { unmount } = render(field(said))
    fireEvent.change(box(), { target: { value: '21' } })
    unmount()
    expect(said).toEqual(['changed', 'committed'])
    said.length = 0
    render(field(said))
    fireEvent.change(box(), { target: { value: '22' } })
    fireEvent.keyDown(box(), { key: 'Escape' })
    expect(said).toEqual(['changed', 'restored'])
    expect(box().value).toBe('20 in')
  })

  test('nothing typed, nothing said', () => {
    const said: string[] = []
    const { unmount } = render(field(said))
    fireEvent.keyDown(box(), { key: 'Escape' })
    unmount()
    expect(said).toEqual([])
  })
})

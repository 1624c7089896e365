import { fireEvent, render, screen } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { useState } from 'react'
import { inches } from '~/length'
import { Fractions } from './Fractions'
import { LengthWord } from './LengthWord'
import { Picks } from './Picks'
import { PriceField } from './PriceField'
import { RadioRow } from './RadioRow'
import { TextBox } from './TextBox'

test('fractions are set apart, and the words stay whole', () => {
  const { container } = render(<Fractions text="Left edge at 58 3/4, gap 11/16 in" />)
  expect(container.textContent).toBe('Left edge at 58 3/4, gap 11/16 in')
  expect([...container.querySelectorAll('[data-fraction]')].map((span) => span.textContent)).toEqual([
    '3/4',
    '11/16',
  ])
})

function Priced({ seen }: { seen: (number | null)[] }) {
  const [value, setValue] = useState<number | null>(735)
  return (
    <PriceField
      label="Price of 8 ft"
      value={value}
      currency="USD"
      onChange={(next) => {
        seen.push(next)
        setValue(next)
      }}
    />
  )
}

test('a price is shown as money, kept in hundredths, and may be unknown', () => {
  const seen: (number | null)[] = []
  render(<Priced seen={seen} />)
  const box = screen.getByRole<HTMLInputElement>('textbox', { name: 'Price of 8 ft' })
  expect(box.value).toBe('$7.35')
  for (const text of ['9.4', '']) {
    fireEvent.focus(box)
    fireEvent.change(box, { target: { value: text } })
    fireEvent.blur(box)
  }
  expect(seen).toEqual([940, null])
})

test('one of a few: the picked one is told, and picking it again changes nothing', async () => {
  const seen: string[] = []
  function Harness() {
    const [value, setValue] = useState<'left' | 'right'>('left')
    return (
      <Picks
        label="Hook the tape in"
        value={value}
        options={[
          { id: 'left', text: 'left corner' },
          { id: 'right', text: 'right corner' },
        ]}
        onChange={(id) => {
          seen.push(id)
          setValue(id)
        }}
      />
    )
  }
  render(<Harness />)
  const right = screen.getByRole('radio', { name: 'right corner' })
  expect(right.getAttribute('aria-checked')).toBe('false')
  await userEvent.click(right)
  expect(right.getAttribute('aria-checked')).toBe('true')
  await userEvent.click(right)
  expect(seen.filter((id) => id === 'left')).toEqual([])
})

test('a word in a sentence opens its field, takes a length and closes on Enter', async () => {
  const seen: number[] = []
  render(
    <LengthWord
      label="Gap"
      value={inches(14.5)}
      format={{ units: 'inches', tape: '1/16' }}
      onChange={(value) => seen.push(value)}
    />,
  )
  await userEvent.click(screen.getByRole('button', { name: 'Gap: 14 1/2' }))
  const box = screen.getByRole<HTMLInputElement>('textbox', { name: 'Gap' })
  await userEvent.clear(box)
  await userEvent.type(box, '15 1/4{Enter}')
  expect(seen.at(-1)).toBe(inches(15.25))
  expect(screen.queryByRole('textbox', { name: 'Gap' })).toBeNull()
})

test('a text box says what is wrong with it, and is marked', () => {
  render(<TextBox label="Job" problem="Give the job a name." />)
  const box = screen.getByRole('textbox', { name: 'Job' })
  expect(box.getAttribute('aria-invalid')).toBe('true')
  expect(screen.getByText('Give the job a name.')).toBeTruthy()
})

test('a row of radios posts its value under its name', async () => {
  const seen: string[] = []
  render(
    <form>
      <RadioRow
        label="Tape"
        name="tape"
        value="a"
        options={[
          { id: 'a', text: '1/16' },
          { id: 'b', text: '1/32' },
        ]}
        onChange={(id) => seen.push(id)}
      />
    </form>,
  )
  await userEvent.click(screen.getByRole('radio', { name: '1/32' }))
  expect(seen).toEqual(['b'])
  expect([...document.querySelectorAll('input')].every((input) => input.name === 'tape')).toBe(true)
})

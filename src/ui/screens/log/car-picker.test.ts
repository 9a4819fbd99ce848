import { describe, expect, it } from 'vitest'
import { carsFound } from './car-picker'

const cars = [
  'Estate, raised rails · F0417 · Sea-boat school',
  'Tall van · KL-22 B · Rental yard',
  'Tall van',
].map((name) => ({ name }))

describe('finding a car', () => {
  it('takes words in any order, however a plate is spaced or cased', () => {
    expect(carsFound(cars, 'school estate')).toEqual([cars[0]])
    expect(carsFound(cars, 'kl 22b')).toEqual([cars[1]])
    expect(carsFound(cars, 'kl-22 b')).toEqual([cars[1]])
    expect(carsFound(cars, 'VAN')).toEqual([cars[1], cars[2]])
  })
  it('shows all in their order where nothing or only punctuation is typed', () => {
    expect(carsFound(cars, '')).toEqual(cars)
    expect(carsFound(cars, ' · ')).toEqual(cars)
  })
})

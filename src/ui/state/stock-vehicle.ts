'use client'
import type { Vehicle } from '@/core/api/plan'
import { useStock } from './stock'

/** A vehicle in stock, by its id. */
export function useStockVehicle(id: string | undefined): Vehicle | undefined {
  return useStock().vehicles.find((vehicle) => vehicle.id === id)
}

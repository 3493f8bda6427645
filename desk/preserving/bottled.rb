# frozen_string_literal: true

require_relative "making"

module NutShelf
  module Desk
    module Preserving
      # A batch in jars, after a tested recipe somebody named; no time and no temperature is ours. What sealed keeps by
      # its class, what did not goes into the fridge as an opened jar.
      class Bottled < Making
        # @return [String]
        def words = "#{count} #{count == 1 ? "jar" : "jars"} of #{product.product}"

        # @return [Hash] what the batch remembers
        def facts = { jars: jars.map { |one| one.transform_keys(&:to_s) }, out_g: batch.in_g }

        # @return [Array<Store::Rows::Lot>]
        def call(finished, pool)
          id = KeptFood.new(work, finished).bottled(product, food)
          parts = jars.flat_map { |one| [[one, :sealed], [one, :unsealed]] }.select { |one, how| one[how].positive? }
          values = Core::LargestRemainder.split(pool.value_minor, parts.map { |one, how| one[:ml] * one[how] })
          lots = parts.zip(values).map { |(one, how), value| jars_of(finished, pool, id, one, how, value) }
          use_up(finished, pool)
          lots.zip(parts).each { |lot, (_, how)| watch(finished, lot) if how == :sealed }
          lots
        end

        private

        def product = work.catalog.trips.produce_jars.find { |one| one.product == batch.cut }

        def jars = @jars ||= (input[:jars] || []).map { |one| { sealed: 0, unsealed: 0, **one } }

        def count = jars.sum { |one| one[:sealed] + one[:unsealed] }

        def check
          raise Refusal.of(:no_tested_recipe, at: "/jars") if batch.source.strip.empty?
          raise Refusal.of(:no_jars, at: "/jars") unless count.positive?

          place
          fridge if jars.any? { |one| one[:unsealed].positive? }
        end

        def fridge
          work.places.each_value.find { |one| one.kind == "fridge" } || raise(Refusal.of(:no_fridge, at: "/jars"))
        end

        def jars_of(finished, pool, id, one, how, value)
          open = how == :unsealed
          made(
            finished, pool,
            { food_id: id, dimension: "volume", pack_amount: one[:ml].to_r, situation: "home_canned", open: open,
              **(open ? { place_id: fridge.id, history: [work.happening("opened")] } : {}) },
            one[:ml].to_r * one[how], value
          )
        end

        # The seals of a jar are looked at the next day, and as often as its class says.
        def watch(finished, lot)
          follow_up(finished, lot, product.product)
          row = work.catalog.keeping(work.food(lot.food_id), "home_canned", "cool_dark").row
          every = row&.care_every_days or return
          finished.make("care", title: "#{product.product}: check every seal", lot_id: lot.id, every_days: every,
            first_on: work.today + every, next_on: work.today + every)
        end
      end
    end
  end
end

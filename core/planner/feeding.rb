# frozen_string_literal: true

require_relative "state"

module NutShelf
  module Core
    module Planner
      # The part of Scan for meals that have what is left of an earlier one: the cook is done anew for one more.
      module Feeding
        # Where the noises of meals eaten again begin, those of dishes before them.
        APART = 512

        # Cooks more of what stands in a slot, for another later one.
        # @param slot [Integer] of a cook
        # @param later [Integer] an open slot
        # @return [Boolean] whether it may have it
        def add(slot, later)
          return false unless feeds?(slot, later)

          enlarge(slot, later)
          true
        end

        private

        # Of every earlier cook that may feed one more and keeps so long.
        def leftovers(slot)
          only = @slots[slot].leftovers_from
          earlier = only || 0
          while earlier < slot
            consider(earlier, slot) if feeds?(earlier, slot)
            break if only

            earlier += 1
          end
        end

        def feeds?(earlier, slot)
          return false unless @state.kind[earlier] == State::COOK && room?(earlier, slot)

          dish = @tables.dishes[@state.dish[earlier]]
          days = @slots[slot].day - @slots[earlier].day
          may = @slots[slot].may
          dish.keeps_days > 0 && days <= dish.keeps_days && (may.nil? || may.include?(@state.dish[earlier]))
        end

        # What a person said is eaten of it has its place, however many that are; others have what is left of the most.
        def room?(earlier, slot)
          fed = @state.feeds[earlier]
          said = @tables.fits.feeder[earlier]
          return fed.nil? || fed.size < @most unless said

          all = (said | fed.to_a).size
          said.include?(slot) ? all <= [@most, said.size].max : all < @most
        end

        def consider(earlier, slot)
          dish = @state.dish[earlier]
          noise = noise(APART + earlier)
          meal = @tables.leftovers(dish, @slots[earlier], @slots[slot])
          least = @tables.least_of(dish, @slots[slot].eaters, @slots[earlier].day)
          return if meal + least + noise >= @best

          draws, money = enlarged(earlier, slot)
          was = @state.draws[earlier]
          cost = meal + noise + money + meals(earlier) - @state.flat[earlier]
          at = 0
          while at < draws.size
            cost += @state.more(draws[at], draws[at + 1] - was[at + 1])
            at += 2
          end
          return unless cost < @best

          @best = cost
          @from = earlier
        end

        # What it draws for both with its choices as they are, and its money without the meals themselves.
        def enlarged(earlier, slot)
          servings = @slots[earlier].eaters + @slots[slot].eaters
          @state.feeds[earlier]&.each { |fed| servings += @slots[fed].eaters }
          drawn(@state.dish[earlier], servings, @slots[earlier].day, @state.choices[earlier])
        end

        # Money of the meals a cook stands for now.
        def meals(slot)
          dish = @state.dish[slot]
          @tables.cooking(dish, @slots[slot]) + @tables.leftovers_of(dish, @slots[slot], @state.feeds[slot])
        end

        # In the order in which put draws.
        def drawn(dish, servings, day, choices)
          at = @tables.at(dish, servings)
          draws = []
          fixed = at.fixed
          place = 0
          while place < fixed.size
            draws << @tables.index(fixed[place], day) << fixed[place + 1]
            place += 2
          end
          money = at.money
          at.free.each_with_index do |options, number|
            wanted = choices.fetch(at.lines[number], 0)
            option = options.find { |one| one[0] == wanted }
            money += option[3]
            draws << @tables.index(option[1], day) << option[2] if option[1]
          end
          [draws, money]
        end

        def enlarge(from, slot)
          dish = @state.dish[from]
          choices = @state.choices[from]
          fed = @state.feeds[from]
          draws, money = enlarged(from, slot)
          money += meals(from) + @tables.leftovers(dish, @slots[from], @slots[slot])
          @state.clear(from)
          @state.cook(from, dish, draws, money, choices, [*fed, slot].freeze)
        end
      end
    end
  end
end

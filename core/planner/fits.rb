# frozen_string_literal: true

require_relative "problem"

module NutShelf
  module Core
    module Planner
      # Which dishes a slot may have, by its meal, minutes, gear and table. Slots that ask the same share a list, and
      # gear is compared as bits: a month has hundreds of pairs of slots to look through in its first tenth of a second.
      class Fits
        NONE = [].freeze
        private_constant :NONE

        # @param problem [Problem]
        def initialize(problem)
          @slots = problem.slots
          @dishes = problem.dishes
          @bits = {}
          @gear = @dishes.map { |dish| bits(dish.gear) }
          @keeps = @dishes.map(&:keeps_days)
          @feeder = wanted_later
          @lists = {}
          @kept = {}
        end

        # @param slot [Integer]
        # @return [Array<Integer>] dishes by their place, rising
        def cooked(slot)
          one = @slots[slot]
          return NONE if one.skip || one.leftovers_from

          @lists[[one.meal, one.max_minutes, one.gear, one.pin, one.only]] ||= look(one).freeze
        end

        # Slots whose leftovers are wanted in later ones, with those: they must be cooked.
        # @return [Hash{Integer=>Array<Integer>}]
        attr_reader :feeder

        # @param slot [Integer]
        # @param later [Integer] slot that gets leftovers of it
        # @return [Array<Integer>] those that keep so long and that its eaters may have
        def kept(slot, later) = @kept[(slot * @slots.size) + later] ||= keeping(slot, later).freeze

        private

        def wanted_later
          later = @slots.each_index.select { |at| @slots[at].leftovers_from }
          later.group_by { |at| @slots[at].leftovers_from }.freeze
        end

        def keeping(slot, later)
          return NONE if @slots[slot].leftovers_from || !gets_leftovers?(later, slot)

          one = @slots[later]
          days = one.day - @slots[slot].day
          may = one.may
          cooked(slot).select { |dish| (keeps = @keeps[dish]) > 0 && days <= keeps && (may.nil? || may.include?(dish)) }
        end

        def gets_leftovers?(later, slot)
          one = @slots[later]
          return one.leftovers_from == slot if one.leftovers_from

          one.allow_leftovers && !one.skip && one.pin.nil? && @feeder[later].nil?
        end

        def look(slot)
          only = slot.only
          return among([slot.pin], only) if slot.pin

          there = bits(slot.gear)
          fitting = @dishes.each_index.select do |at|
            dish = @dishes[at]
            dish.minutes <= slot.max_minutes && @gear[at].nobits?(~there) && dish.meals.include?(slot.meal)
          end
          among(fitting, only)
        end

        def among(dishes, only) = only ? dishes & only.to_a : dishes

        def bits(gear)
          gear.sum { |name| 1 << (@bits[name] ||= @bits.size) }
        end
      end
    end
  end
end

# frozen_string_literal: true

require_relative "../../core/bags/part_date"
require_relative "../../core/dating/judge"

module NutShelf
  module Desk
    module Bench
      # What a bag remembers of its parts: until when the one that ends first is good, for every kind of place it may
      # ever stand in, by the household's school and by the date.
      class BagDates
        KINDS = %w[cupboard cool_dark fridge freezer].freeze

        # @param work [UnitOfWork]
        # @param low_air [Boolean]
        def initialize(work, low_air:)
          @work = work
          @low_air = low_air
          @known = {}
        end

        # @param stacks [Array<Core::Bags::BagStack>] of which something is in it
        # @return [Core::BagDates]
        def call(stacks)
          policies = [@work.policy, @work.policy.strict]
          there = policies.map { |policy| KINDS.to_h { |kind| [kind, earliest(stacks, kind, policy)] }.freeze }
          Core::BagDates.new(on: @work.on, last: first(stacks.map { |stack| as_it_stands(stack) }), by_place: there[0],
            strict: there[1])
        end

        # @return [Hash{String=>Object}] as the story of a stack keeps it
        def self.told(dates)
          by_place, strict = [dates.by_place, dates.strict].map { |list| list.transform_values { |one| written(one) } }
          { "on" => dates.on.iso8601, "last" => written(dates.last), "by_place" => by_place, "strict" => strict }
        end

        # One of them, as JSON keeps it.
        def self.written(found)
          found && { "name" => found.name, "on" => found.on.iso8601, "kind" => found.kind.to_s }
        end

        # @param facts [Hash{String=>Object}] as the story keeps it
        # @return [Core::BagDates]
        def self.read(facts)
          by_place, strict = facts.values_at("by_place", "strict").map do |list|
            list.transform_values { |one| value(one) }.freeze
          end
          Core::BagDates.new(on: Date.iso8601(facts["on"]), last: value(facts["last"]), by_place: by_place,
            strict: strict)
        end

        # One of them, as JSON kept it.
        def self.value(facts)
          facts && Core::BagUntil.new(name: facts["name"], on: Date.iso8601(facts["on"]), kind: facts["kind"].to_sym)
        end
        private_class_method :written, :value

        private

        def earliest(stacks, kind, policy) = first(stacks.map { |stack| one(stack, kind, policy) })

        def first(list) = list.compact.min_by { |one| [one.on, one.kind == :safety ? 0 : 1] }

        def one(stack, kind, policy)
          @known.fetch([stack.id, kind, policy]) do |key|
            @known[key] = named(stack, found(stack, kind, policy))
          end
        end

        # What may not be closed without air there is good on the day it is packed and no longer.
        def found(stack, kind, policy)
          Core::Bags::PartDate.new(@work.catalog, policy, place: kind, low_air: @low_air).of(stack, @work.on)
        rescue Core::Bags::Unpackable
          Core::Bags::Until.new(on: @work.on, kind: :safety)
        end

        def as_it_stands(stack)
          dating = Core::Judge.date(stack.story, catalog: @work.catalog, policy: @work.policy.strict,
            today: @work.today)
          last = dating.usable_until or return
          named(stack, Core::Bags::Until.new(on: last, kind: last == dating.safety_until ? :safety : :quality))
        end

        def named(stack, found)
          found && Core::BagUntil.new(name: stack.food.name, on: found.on, kind: found.kind)
        end
      end
    end
  end
end

# frozen_string_literal: true

require_relative "../dating/judge"
require_relative "../errors"
require_relative "../value"

module NutShelf
  module Core
    module Bags
      # A stack that parts of bags come from: grams there, what they are worth, and what its date rests on. `place`
      # where it stands ("cupboard", "freezer" and so on). `story`: all that is known of it, which then counts instead
      # of the rest. Frozen.
      BagStack =
        Value.of(
          :id, :food, :grams, :value_minor, :printed_on, :printed_kind, :opened_on, :frozen_on, :made_on, :story,
          situation: "bought_sealed", place: "cupboard"
        )

      # Until when a part of a bag is good, and whether as a matter of safety. Frozen.
      Until = Value.of(:on, :kind)

      # A part that may not be packed like that.
      class Unpackable < Error
      end

      # The date a part has in a bag (docs/trips.md 2): it counts as opened on the day it is packed, where the bag will
      # stand; without air what is fully dry and lean keeps longer, never past the date on its pack.
      class PartDate
        VACUUM = "class-vacuum-packed-dry-meals"
        # Grams of fat in 100 g above which fat turns, air or none.
        LEAN = 20
        # After whatever was noted of a day.
        LATE = 10**15

        # @param catalog [Catalog]
        # @param policy [Policy]
        # @param place [String] where the bag will stand
        # @param low_air [Boolean]
        def initialize(catalog, policy, place: "cupboard", low_air: false)
          @catalog = catalog
          @policy = policy
          @place = Standing.new(name: place, kind: place)
          @low_air = low_air && place != "freezer"
        end

        # @param stack [BagStack]
        # @param on [Date] of packing
        # @return [Until, nil] nil where nothing gives a date
        # @raise [Unpackable] for what is moist, closed without air
        def of(stack, on)
          refuse_moist(stack.food)
          packed = until_on(judged(stack, stack.opened_on && stack.opened_on < on ? nil : on, on), on)
          packed = longer(stack, packed, on) if keeps_without_air?(stack.food, packed)
          return packed unless stack.opened_on && stack.opened_on < on

          earliest(until_on(judged(stack, stack.opened_on, on), on), packed)
        end

        private

        # Meat, and whatever bends, may grow poison without air in the warm.
        def refuse_moist(food)
          return unless @low_air
          return if %i[dry chewy].include?(@catalog.trips.moisture[food.class_key])

          raise Unpackable.new("#{food.name} is not dry enough to be closed without air.",
            remedy: "Close the bag with its air, or keep it in the freezer.")
        end

        def keeps_without_air?(food, packed)
          @low_air && packed && packed.kind == :quality && @catalog.trips.moisture[food.class_key] == :dry &&
            (food.nutrition.fat_g || 0) <= LEAN
        end

        def longer(stack, packed, on)
          row = @catalog.row(VACUUM, @place.kind, "portioned") or return packed
          last = [packed.on, on + row.days(@policy.school)].max
          Until.new(on: [last, *(stack.story ? before(stack, on) : stack.printed_on)].min, kind: :quality)
        end

        # Its date as it stands, neither opened for this nor moved.
        def before(stack, on) = date(unopened(stack.story), on).usable_until

        def judged(stack, opened_on, on)
          told = events(stack, opened_on || on, on)
          return date(story(stack, on).with(events: told), on) unless stack.story

          # Opened earlier is in its own story; otherwise it counts as opened now.
          own = !opened_on.nil? && opened_on == stack.opened_on
          base = own ? stack.story : unopened(stack.story)
          told = told.reject { |event| event.kind == :frozen || (own && event.kind == :opened) }
          date(base.with(events: [*base.events, *told.map { |event| after_all(event) }]), on)
        end

        # In the same day after all that was noted.
        def after_all(event) = event.with(order: LATE + event.order)

        def unopened(story) = story.with(events: story.events.reject { |event| event.kind == :opened }.freeze)

        def story(stack, on)
          Story.new(
            food: stack.food, situation: stack.situation, printed_on: stack.printed_on,
            printed_kind: stack.printed_kind, made_on: stack.made_on, acquired_on: stack.made_on,
            known_on: stack.made_on || stack.opened_on || on,
            place: Standing.new(name: stack.place, kind: stack.place)
          )
        end

        def date(story, on) = Judge.date(story, catalog: @catalog, policy: @policy, today: on)

        # Out of the freezer it thaws before it is opened; into it, it is opened before it freezes.
        def events(stack, opened_on, on)
          thaws = stack.place == "freezer"
          [
            *(Event.new(kind: :frozen, on: stack.frozen_on, order: 0, place: freezer) if stack.frozen_on),
            Event.new(kind: :opened, on: opened_on, order: thaws ? 2 : 1),
            *(Event.new(kind: :moved, on: on, order: thaws ? 1 : 2, place: @place) if stack.place != @place.kind)
          ]
        end

        def freezer = Standing.new(name: "the freezer", kind: "freezer")

        # What is not to eat was good until yesterday at most, and goes into no bag.
        def until_on(dating, on)
          return Until.new(on: on - 1, kind: :safety) if dating.stopped || dating.unknown
          return unless dating.usable_until

          Until.new(on: dating.usable_until,
            kind: dating.safety_until == dating.usable_until ? :safety : :quality)
        end

        def earliest(*dates) = dates.compact.min_by { |one| [one.on, one.kind == :safety ? 0 : 1] }
      end
    end
  end
end

# frozen_string_literal: true

require_relative "../../core/kits/figures"
require_relative "../../core/outage/eat_first"
require_relative "../../core/outage/judging"
require_relative "../../core/value"
require_relative "../situation"

module NutShelf
  module Desk
    module Outages
      # A power cut with everything that stands in fridge and freezer: in what order to eat it, and afterwards what to
      # do with each and by which rule.
      class OutageBook
        # What stood in the cold, its stack, whether it is settled already, whether it may be eaten today, and whether
        # it was not to be eaten before the power went. Frozen.
        Stood = Core::Value.of(:stack, :item, settled: false, good: true, stopped: false)

        COLD = %w[fridge freezer].freeze

        attr_reader :outage

        # @param work [UnitOfWork]
        # @param outage [Store::Rows::Outage]
        # @param now [Time] while the power is not back
        # @param findings [Hash{Integer=>Array(Symbol, Rational)}] what somebody found, by stack: its state, and hours
        #   it has been warm (nil: nobody knows)
        def initialize(work, outage, now:, findings: {})
          @work = work
          @outage = outage
          @now = now
          @findings = findings
          work.every_food
        end

        # @return [Core::Outage::Cut]
        def cut
          @cut ||= Core::Outage::Cut.new(
            start: outage.started_at, ends: outage.ended_at || [@now, outage.started_at].max, fill: outage.freezer_fill,
            fridge: readings("fridge"), freezer: readings("freezer")
          )
        end

        # @return [Core::Outage::Judging]
        def judging = @judging ||= Core::Outage::Judging.new(@work.catalog, figures, cut)

        # @return [Core::Outage::EatFirst]
        def eat_first
          @eat_first ||= Core::Outage::EatFirst.new(@work.catalog, figures, hours_allowed: cut.hours_allowed(figures))
        end

        # @return [Core::Kits::Figures]
        def figures = @figures ||= Core::Kits::Figures.new(targets: @work.catalog.targets)

        # @return [Array<Stood>] what is to be eaten first ahead
        def stood
          @stood ||= begin
            all = cold.map { |stack, kind| stood_of(stack, kind) }.to_h { |one| [one.item, one] }
            eat_first.call(all.keys).map { |item| all.fetch(item) }.freeze
          end
        end

        # @return [Hash{String=>String}] what stands in the cold now, as it is kept when the power is back
        def snapshot
          @work.shelf.stacks.each_value.to_h { |stack| [stack.id.to_s, place_of(stack)] }.compact
        end

        # @return [Array<Stood>] what nobody settled yet
        def open = stood.reject(&:settled)

        # @return [Array<Stood>] of that, what may be eaten today
        def edible = open.select(&:good)

        # No rule of the power cut makes good what was not to be eaten before.
        # @param one [Stood]
        # @return [Core::Outage::Verdict]
        def verdict(one)
          return judging.of(one.item) unless one.stopped

          Core::Outage::Verdict.new(item: one.item, act: :throw, rule: :not_to_eat)
        end

        # @param one [Stood]
        # @return [Date, nil] last day it may be eaten by its dates, cut or no cut
        def good_until(one) = one.stack.until_on(strict: strict?)

        private

        # Somebody who goes by the date sits at the table.
        def strict? = @work.policy.by_the_date? || @work.strict_eaters?

        def readings(where)
          outage.readings.select { |one| one["where"] == where }.map do |one|
            Core::Outage::Reading.new(at: Time.iso8601(one["at"]), celsius: one["c"].to_r)
          end.freeze
        end

        # What stood in the cold: as it was when the power came back, with what was split off of it since, wherever it
        # stands now; while it is dark, what stands there. What came later was not there.
        # @return [Hash{Core::Stack=>String}] with the kind of its place
        def cold
          @work.shelf.stacks.each_value.select { |stack| stack.on_hand.positive? }
            .to_h { |stack| [stack, outage.ended_at ? stood_in(stack.id) : place_of(stack)] }.compact
        end

        def place_of(stack)
          kind = @work.place(stack.place_id).kind
          kind if COLD.include?(kind)
        end

        def stood_in(id)
          outage.stood[id.to_s] || (splits.key?(id) ? stood_in(splits[id]) : nil)
        end

        def splits = @splits ||= @work.house.sources.splits

        def stood_of(stack, kind)
          food = @work.food(stack.food_id)
          state, warm = @findings[stack.id]
          Stood.new(
            stack: stack, settled: outage.findings.key?(stack.id.to_s),
            good: stack.eligible?(@work.today, strict: strict?),
            stopped: stack.quarantined || stack.stopped || stack.age_unknown || stack.past_safety?(@work.today),
            item: Core::Outage::Item.new(
              id: stack.id, food: food, situation: Situation.of(stack, food, kind), place: kind,
              usable_until: stack.usable_until, finding: state, warm_hours: warm
            )
          )
        end
      end
    end
  end
end

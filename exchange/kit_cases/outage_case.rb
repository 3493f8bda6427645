# frozen_string_literal: true

require_relative "../../core/outage/eat_first"
require_relative "../../core/outage/judging"
require_relative "shelf_cases"

module NutShelf
  module Exchange
    module KitCases
      # A power cut: what to eat first, and what to do with each item afterwards.
      class OutageCase < Reading
        FINDINGS = %w[hard icy cold warm].freeze

        # @return [Hash]
        def answer
          judging = Core::Outage::Judging.new(catalog, figures, cut)
          allowed = cut.hours_allowed(figures)
          {
            hours: up(cut.hours), fridge_hours_above: up(judging.fridge_above),
            freezer_hours_allowed: self.class.plain(ROUND.down(allowed, 1)),
            freezer_hours_above: up(judging.freezer_above),
            eat_first: Core::Outage::EatFirst.new(catalog, figures, hours_allowed: allowed).call(items).map(&:id),
            verdicts: items.to_h { |item| [item.id, said(judging.of(item))] }
          }
        end

        private

        def said(verdict) = [verdict.act.to_s, verdict.rule.to_s.tr("_", "-")]

        def cut
          @cut ||= Core::Outage::Cut.new(
            start: moment("start"), ends: moment(@case["back"] ? "back" : "now"), fridge: readings("fridge"),
            freezer: readings("freezer"), fill: @case.part("freezer")&.amount("fill") || 1r
          )
        end

        def readings(field)
          (@case.part(field)&.list("readings") || []).map do |one|
            Core::Outage::Reading.new(at: moment("at", one),
              celsius: signed("c", one) || one.bad("c", nil, "How cold was it?"))
          end
        end

        def items
          @items ||= @case.list("items").map do |one|
            Core::Outage::Item.new(
              id: one.name("id"), food: food(one), situation: situation(one), place: place(one, "fridge"),
              usable_until: one.day("usable_until"),
              finding: choice("finding", FINDINGS, nil, one), warm_hours: one.amount("warm_hours")
            )
          end
        end

        def up(number) = number && self.class.plain(ROUND.up(number, 1))
      end
    end
  end
end

# frozen_string_literal: true

require_relative "../../core/dating/words"
require_relative "../../exchange/papers/paper"
require_relative "../views/event_view"

module NutShelf
  module Api
    module Papers
      # The hours before an event for the fridge door: what to do when, to be ticked by hand; what to eat first, what
      # makes one meal with what, what fresh food to buy.
      class EventPaper
        # @param work [Desk::UnitOfWork]
        # @param event [Store::Rows::Event]
        # @param now [Time]
        def initialize(work, event, now:)
          @work = work
          @told = EventView.new(work, event, now: now).call
        end

        # @return [Exchange::Papers::Paper]
        def call
          Exchange::Papers::Paper.new(
            title: "Before it comes: #{@told[:name]}", subtitle: subtitle, back: "/kits/before",
            parts: [clock, lines("No time left for", @told[:left_out].map { |one| one[:name] }), first, together, fresh,
                    lines("Ice", [ice].compact)].compact
          )
        end

        private

        def subtitle
          "#{moment(@told[:hour])}, for #{Core::Words.count(@told[:days], "day", "days")}. Follow your local " \
            "authority’s notice before anything here."
        end

        def clock
          Exchange::Papers::Table.new(
            heading: "By the clock", columns: ["", "Begin", "Done by", ""], shares: [1, 3, 3, 8],
            rows: @told[:tasks].map do |one|
              ["[ ]", moment(one[:start]), moment(one[:by]), [one[:name], one[:note]].reject(&:empty?).join("\n")]
            end
          )
        end

        # With its day: a paper hangs there tomorrow too.
        def moment(text)
          @work.services.clock.at(Time.iso8601(text), @work.household.time_zone).strftime("%a %-d %b, %H:%M")
        end

        def first
          items = @told[:eat_first].map do |one|
            day = one[:until] && Core::Words.day(Date.iso8601(one[:until]))
            ["#{one[:name]} #{one[:amount]}", ("until #{day}" if day)].compact.join(", ")
          end
          lines("Eat first, while there is a fridge", items)
        end

        def together
          lines("One meal for all", @told[:stretched].map do |one|
            "#{one[:name]} #{one[:amount]} with #{one[:count]} x #{one[:tin]}, #{one[:pack]}"
          end)
        end

        def fresh
          lines("Fresh food that lasts without a fridge", @told[:fresh].flat_map do |group|
            group[:foods].map { |one| "#{one[:amount]} #{one[:name]}, day #{[one[:from], one[:to]].uniq.join(" to ")}" }
          end)
        end

        def ice = @told[:ice_l] && "Bottles with #{@told[:ice_l]} l of water into the freezer, not to the brim."

        def lines(heading, items) = (Exchange::Papers::Lines.new(heading: heading, items: items) if items.any?)
      end
    end
  end
end

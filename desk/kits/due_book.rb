# frozen_string_literal: true

require_relative "../../core/value"
require_relative "../place_check"
require_relative "kit_book"
require_relative "refresh_book"

module NutShelf
  module Desk
    module Kits
      # What being ready asks of somebody these days: a power cut that runs or waits to be settled, an event that is
      # prepared for, a kit whose refresh is near, a box nobody looked through for half a year.
      class DueBook
        # Days ahead a refresh is told: what leaves is eaten until then, what comes in is shopped for.
        AHEAD = 21
        # `kind` :power_cut, :after_power_cut, :event, :refresh or :check; `id` of kit, event or place; `on` its day;
        # how many `packs` leave. Frozen.
        Due = Core::Value.of(:kind, :id, :name, :on, :packs)

        # @param work [UnitOfWork]
        def initialize(work)
          @work = work
        end

        # @return [Array<Due>] what is most pressing first
        def call = [*cut, *events, *refreshes, *checks]

        private

        def cut
          outage = @work.house.kits.outage or return []
          kind = outage.ended_at ? :after_power_cut : :power_cut
          [Due.new(kind: kind, id: nil, name: "", on: local(outage.started_at), packs: nil)]
        end

        def events
          @work.house.kits.events.map do |event|
            Due.new(kind: :event, id: event.id, name: event.name, on: local(event.hour), packs: nil)
          end
        end

        def refreshes
          books = @work.house.kits.all.map { |kit| KitBook.new(@work, kit, stocks: stocks) }
          books.select { |book| !book.deep_pantry? && book.refresh_on <= @work.today + AHEAD }
            .sort_by { |book| [book.refresh_on, book.kit.id] }.map { |book| refresh(book) }
        end

        def refresh(book)
          plan = RefreshBook.new(@work, book).leaving
          Due.new(
            kind: :refresh, id: book.kit.id, name: book.kit.name, on: book.refresh_on,
            packs: (plan.look.sum(&:packs) + plan.kitchen.sum { |one| one.stack.packs })
          )
        end

        def checks
          kits = @work.house.kits.all.map(&:id)
          boxes = @work.places.each_value.select { |place| kits.include?(place.kit_id) && !place.gone? }
          boxes.filter_map { |place| check(place) }.sort_by { |due| [due.on, due.id] }
        end

        def check(place)
          on = PlaceCheck.new(@work, place).due_on
          Due.new(kind: :check, id: place.id, name: place.name, on: on, packs: nil) if on && on <= @work.today
        end

        def stocks = @stocks ||= Stocks.new(@work)

        def local(moment) = @work.services.clock.at(moment, @work.household.time_zone).to_date
      end
    end
  end
end

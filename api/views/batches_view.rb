# frozen_string_literal: true

require_relative "../../core/quantity/decimal"
require_relative "../../core/quantity/quantity"
require_relative "../../desk/preserving/batch_log"
require_relative "../../desk/preserving/steps"

module NutShelf
  module Api
    # Batches as JSON: what can be dried and bottled, what is going with its steps, what was done and what it gave.
    class BatchesView
      # Of those that are done, the latest.
      MOST = 200

      # @param work [Desk::UnitOfWork]
      def initialize(work)
        @work = work
        @log = Desk::Preserving::BatchLog.new(work)
      end

      # @return [Hash]
      def call
        going, done = @log.all.partition { |one| one.status == "going" }
        {
          cuts: trips.drying.values.map { |one| cut(one) }.sort_by { |one| one[:name] },
          products: trips.produce_jars.map { |one| product(one) }, freezing: steps("freezing", nil, []),
          going: going.map { |one| under_way(one) }, done: done.last(MOST).reverse.map { |one| finished(one) }
        }
      end

      private

      def trips = @work.catalog.trips

      def cut(drying)
        told = @log.next_time(drying)
        {
          key: drying.key, name: drying.name, food_id: @work.shelf.food_ids[drying.food_key], own: told.yields.size,
          yield_percent: percent(told.yield), hours: Core::Decimal.print(told.hours.round(1)),
          heat_c: drying.heat_first_c&.to_i, test: drying.done_test, note: drying.note.to_s
        }
      end

      def product(jar)
        {
          name: jar.product, food_id: @work.shelf.food_ids[jar.food_key], note: jar.note.to_s,
          g_per_litre: jar.usual.round
        }
      end

      def under_way(batch)
        drying = trips.drying[batch.cut]
        told = drying && @log.next_time(drying)
        {
          **plain(batch),
          version: batch.version, lot_id: batch.lot_id, source: batch.source, trays: batch.trays,
          temp_c: batch.temp_c, heated_c: batch.heated_c, heat_c: drying&.heat_first_c&.to_i,
          test: drying&.done_test, steps: steps(batch.process, drying, batch.ticked),
          expects: told && size(told.out_g(batch.in_g)),
          expects_hours: told && Core::Decimal.print(told.hours.round(1))
        }
      end

      def finished(batch)
        {
          **plain(batch), out: batch.out_g && batch.process != "bottling" ? size(batch.out_g) : nil,
                          finished_on: batch.finished_on.iso8601, value_minor: batch.value_minor, source: batch.source,
                          yield_percent: batch.process == "bottling" ? nil : percent(batch.out_g / batch.in_g),
                          jars: batch.jars.map { |one| one.slice("ml", "sealed", "unsealed") }
        }
      end

      def plain(batch)
        {
          id: batch.id, process: batch.process, name: name(batch), in: size(batch.in_g),
          begun_on: batch.begun_on.iso8601, hours: Core::Decimal.print(batch.hours), note: batch.note
        }
      end

      def name(batch)
        case batch.process
        when "drying" then trips.drying.fetch(batch.cut).name
        when "bottling" then batch.cut
        else @work.food(batch.food_id).name
        end
      end

      def steps(process, drying, ticked)
        Desk::Preserving::Steps.new(@work.catalog, process, drying).call.map do |step|
          { number: step.step_no, words: step.step, for: step.applies_to, done: ticked.include?(step.step_no) }
        end
      end

      def percent(share) = Core::Decimal.print((share * 100).round(1))

      def size(grams) = @work.size(Core::Quantity.new(grams.round(1).to_r, :mass))
    end
  end
end

# frozen_string_literal: true

require_relative "season_line"

module NutShelf
  module Desk
    # Jars and dried stores from one harvest to the next.
    module Season
      # All lines of the season beside each other: a jar that one of them fills is no empty for the next.
      class SeasonBook
        # Jars one would look for who owns none: a house that counts its own goes by those.
        SIZES = { 250r => 0, 500r => 0, 1000r => 0 }.freeze

        # @param work [UnitOfWork]
        def initialize(work)
          @work = work
          @log = Preserving::BatchLog.new(work)
        end

        # @return [Array<SeasonLine>] by their harvest
        def lines
          @lines ||= @work.house.season.all.each_with_object([]) do |row, known|
            known << line(row, known)
          end
        end

        # @param row [Store::Rows::SeasonLine] as it may become
        # @return [SeasonLine] beside those that are kept
        def with(row)
          others = @work.house.season.all.reject { |one| one.id == row.id }
          before = [*others, row].sort_by { |one| [one.harvest_on, one.id || Float::INFINITY] }.take_while { |one| one != row }
          line(row, before.each_with_object([]) { |one, known| known << line(one, known) })
        end

        # @return [Hash{Rational=>Integer}] jars of the household by millilitres, full or empty
        def owned = @owned ||= jars.empty? ? SIZES : sizes(jars, &:owned)

        # @return [Hash{Rational=>Integer}] that hold something poured into them
        def in_use = @in_use ||= sizes(jars) { |one| [one.in_use, one.owned].min }

        private

        def line(row, before) = SeasonLine.new(@work, row, log: @log, owned: free(before))

        # What is full of something else, or will be by then.
        def free(before)
          taken = Hash.new(0)
          before.each do |one|
            next unless one.bottling? && one.plan

            one.plan.jars.each { |size, count| taken[size] += count }
            one.plan.full.each { |size, count| taken[size] += count }
          end
          in_use.each { |size, count| taken[size] += count }
          unplanned.each { |stack| taken[stack.pack_amount] += (stack.on_hand / stack.pack_amount).ceil }
          owned.to_h { |size, count| [size, [count - taken[size], 0].max] }
        end

        # Jars of one's own bottling that no line is about.
        def unplanned
          @unplanned ||= begin
            planned = @work.house.season.all.flat_map { |row| JarsThere.new(@work, row).food_ids }
            @work.shelf.stacks.values.select do |stack|
              stack.situation == "home_canned" && stack.pack_amount && !planned.include?(stack.food_id)
            end
          end
        end

        def jars = @jars ||= @work.house.containers.all.select { |one| one.kind == "jar" && one.capacity_ml }

        def sizes(containers, &count)
          containers.group_by { |one| one.capacity_ml.to_r }.transform_values { |list| list.sum(&count) }
        end
      end
    end
  end
end

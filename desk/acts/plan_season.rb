# frozen_string_literal: true

require_relative "../act"
require_relative "../day"
require_relative "../refusal"
require_relative "../season/season_book"

module NutShelf
  module Desk
    # Plans what is bottled or dried at the next harvest, and keeps how much that is to be. Also changes a line of the
    # season, or takes it off. No jar moves by it.
    class PlanSeason < Act
      FACTS = %i[weekly margin_percent pot_jars trays tray_dm2 day_hours get_by note food_ids].freeze
      # What the target follows from.
      COUNTS = %i[weekly margin_percent food_ids harvest_on next_harvest_on].freeze
      # Days from one harvest to the next.
      LONGEST = 1100

      private

      # @param input [Hash] :line_id (nil: a new one) with :version as it was seen; :process and :cut of a new one;
      #   :harvest_on and :next_harvest_on; FACTS (:weekly nil: as the ledger tells); :anew reckons the target anew;
      #   :gone
      def perform(input)
        facts = facts(input)
        return begun(facts, input) unless input[:line_id]

        line = house.season.find(input[:line_id])
        house.records.lock("season_line", line.id)
        refuse_stale(line, input[:version], { version: line.version })
        return taken_off(line) if input[:gone]

        changed(line, facts, input[:anew])
      end

      def begun(facts, input)
        new = { process: input[:process], cut: input[:cut].to_s, **facts }
        refuse_odd(new)
        check(new)
        line = Store::Rows::SeasonLine.new(planned_on: work.today, **new)
        planned = entry("plan_season", "Planned the season: #{named(line)}")
        done(planned, line_id: planned.make("season_line", { **new, **target(line) }))
      end

      def changed(line, facts, anew)
        check({ **line.slice(:harvest_on, :next_harvest_on), **facts })
        as_it_becomes = line.with(**facts)
        planned = entry("plan_season", "Planned the season anew: #{named(line)}")
        counts = anew || COUNTS.any? { |name| as_it_becomes.public_send(name) != line.public_send(name) }
        planned.alter("season_line", line, { **facts, **(counts ? target(as_it_becomes) : {}) })
        done(planned, line_id: line.id)
      end

      def taken_off(line)
        gone = entry("plan_season", "Took #{named(line)} off the season")
        gone.alter("season_line", line, { archived_at: Time.now.utc.iso8601 })
        done(gone, line_id: line.id)
      end

      # What is to be made as of today, and what batches gave until now.
      def target(line)
        told = Season::SeasonBook.new(work).with(line)
        jars = (told.plan&.jars || {}).sort.filter_map { |ml, count| { ml: ml.to_i, count: count } if count.positive? }
        {
          planned_on: work.today, target: told.plan&.to_make_ml.to_r.round(3), target_jars: jars,
          done_before: told.given.round(3)
        }
      end

      def named(line) = Season::SeasonLine.new(work, line).name.downcase

      def facts(input)
        days = %i[harvest_on next_harvest_on].to_h { |name| [name, Day.read(name, input[name])] }.compact
        facts = { **input.slice(*FACTS), **days }
        facts[:weekly] = facts[:weekly].to_r if facts[:weekly]
        raise Refusal.of(:weight_not_above_zero, at: "/weekly") if facts[:weekly] && !facts[:weekly].positive?

        facts[:food_ids]&.each { |id| work.food(id) }
        facts
      end

      def refuse_odd(new)
        trips = work.catalog.trips
        known = new[:process] == "drying" ? trips.drying.key?(new[:cut]) : bottled?(trips, new[:cut])
        raise Refusal.of(:batch_of_what, at: "/cut") unless known

        twice = house.season.all.any? { |one| one.slice(:process, :cut) == new.slice(:process, :cut) }
        raise Refusal.of(:season_line_twice, at: "/cut") if twice
      end

      def bottled?(trips, cut) = trips.produce_jars.any? { |one| one.product == cut }

      def check(facts)
        first, second = facts.values_at(:harvest_on, :next_harvest_on)
        ahead = second > work.today && first - work.today <= LONGEST
        return if ahead && second > first && second - first <= LONGEST

        raise Refusal.of(:harvests_out_of_order, at: "/next_harvest_on")
      end
    end
  end
end

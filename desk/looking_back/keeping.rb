# frozen_string_literal: true

require_relative "../../core/looking_back/kept_here"
require_relative "../../core/value"

module NutShelf
  module Desk
    module LookingBack
      # How long things keep here, by the way they are kept, beside what the guide says. Never for safety.
      class Keeping
        # `state`: "whole", "opened", "frozen", "cut" or "cooked"; `place`: kind of it; `method`: way of storing, nil;
        # `kept`: nil where too few notes; `notes`: how many; `low` and `high`: the guide's days. Frozen.
        Learnt = Core::Value.of(:food_id, :state, :place, :method, :kept, :notes, :low, :high)

        STARTS = { "opened" => "opened", "frozen" => "frozen", "cut" => "cut", "cooked" => "cooked" }.freeze
        GUIDE = {
          "whole" => "bought_sealed", "opened" => "opened", "frozen" => "frozen_at_home", "cut" => "cut",
          "cooked" => "left_over"
        }.freeze

        # @param work [UnitOfWork]
        def initialize(work)
          @work = work
        end

        # @param food_id [Integer, nil] only this
        # @return [Array<Learnt>] by food, those with most notes first
        def all(food_id = nil)
          found = lots(food_id).filter_map { |lot| noted(lot) }.group_by(&:first)
          learnt = found.map { |way, list| learnt(way, list.map(&:last)) }
          learnt.sort_by { |one| [@work.food(one.food_id).name, -one.notes, one.state] }
        end

        private

        def lots(food_id)
          found = @work.house.outcomes.noted
          found = found.select { |lot| lot.food_id == food_id } if food_id
          @work.know_foods(found.map(&:food_id))
          @turned = @work.house.outcomes.turned_on(found.map(&:id))
          @eaten = @work.house.outcomes.last_eaten(found.map(&:id))
          found
        end

        # @return [Array(Array, Core::KeptHere::Note), nil] the way it was kept, and what that says
        def noted(lot)
          state, start = since(lot)
          return if start.nil? || wandered?(lot, start)

          method = lot.history.select { |one| one["kind"] == "stored" }.map { |one| one["method"] }.last || lot.method
          note = note(lot, start)
          note && [[lot.food_id, state, @work.place(lot.place_id).kind, method], note]
        end

        # What it is since when: what happened to it last counts.
        def since(lot)
          last = lot.history.select { |one| STARTS.key?(one["kind"]) && one["on"] }.max_by { |one| one["on"] }
          return [STARTS.fetch(last["kind"]), Date.iso8601(last["on"])] if last

          [lot.open ? "opened" : "whole", lot.made_on || lot.acquired_on]
        end

        # From a place of one kind into another: neither can be blamed.
        def wandered?(lot, start)
          lot.history.any? do |one|
            one["kind"] == "moved" && one["on"].to_s > start.iso8601 &&
              @work.all_places[one["place_id"]]&.kind != @work.place(lot.place_id).kind
          end
        end

        def note(lot, start)
          looks = lot.history.select { |one| one["kind"] == "looked" && one["on"].to_s >= start.iso8601 }
          bad = looks.reject { |one| one["result"] == "good" }.map { |one| Date.iso8601(one["on"]) }.min
          turned = [bad, @turned[lot.id]].compact.min
          good = [*looks.select { |one| one["result"] == "good" }.map { |one| Date.iso8601(one["on"]) },
                  *@eaten[lot.id], start].select { |day| turned.nil? || day < turned }.max
          return if good.nil? || (turned && turned <= start)

          Core::KeptHere::Note.new(good_until: (good - start).to_i, turned_by: turned && (turned - start).to_i)
        end

        def learnt(way, notes)
          food_id, state, place, method = way
          row = @work.catalog.keeping(@work.food(food_id), GUIDE.fetch(state), place, method).row
          Learnt.new(
            food_id: food_id, state: state, place: place, method: method, kept: Core::KeptHere.of(notes),
            notes: notes.size, low: row&.low, high: row&.high
          )
        end
      end
    end
  end
end

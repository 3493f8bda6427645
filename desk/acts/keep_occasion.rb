# frozen_string_literal: true

require_relative "../act"
require_relative "../eating"
require_relative "../refusal"
require_relative "../seats"
require_relative "../../core/occasions/recurrence"

module NutShelf
  module Desk
    # Writes down a meal that comes round: when, who comes, its usual dishes, a pocket for ideas. Also changes one.
    class KeepOccasion < Act
      FACTS = %i[name recurrence meal serve_at eaters dishes ideas notes cooks ovens].freeze

      private

      # @param input [Hash] :occasion_id (nil: a new one) with :version as it was seen, and FACTS: :dishes as
      #   [{dish:, servings: decimal text or nil, ahead:}], :ideas as [{text:, dish: or nil}]; what is not named stays
      def perform(input)
        facts = facts(input)
        return begun(facts) unless input[:occasion_id]

        occasion = house.records.lock("occasion", input[:occasion_id])
        refuse_stale(occasion, input[:version], { name: occasion.name })
        kept = entry("keep_occasion", "Changed #{facts[:name]}")
        kept.alter("occasion", occasion, facts)
        Seats.new(work).follow(kept, occasion, house.occasions.find(occasion.id))
        done(kept, occasion_id: occasion.id)
      end

      def begun(facts)
        kept = entry("keep_occasion", "Wrote down #{facts[:name]}")
        done(kept, occasion_id: kept.make("occasion", facts))
      end

      def facts(input)
        facts = Eating.checked(input.slice(*FACTS), work)
        {
          **facts, name: facts[:name].strip, recurrence: recurrence(facts[:recurrence]),
                   **(facts.key?(:dishes) ? { dishes: dishes(facts[:dishes]) } : {}),
                   **(facts.key?(:ideas) ? { ideas: ideas(facts[:ideas]) } : {})
        }
      end

      # A dish stands on a menu once.
      def dishes(list)
        list.each_with_index.map { |one, at| dish(one, "/dishes/#{at}") }.uniq { |one| one["dish"] }
      end

      def ideas(list) = list.each_with_index.map { |one, at| idea(one, "/ideas/#{at}") }

      def recurrence(said)
        Core::Recurrence.read(said).to_h.compact.transform_keys(&:to_s).then do |facts|
          facts.key?("on") ? { **facts, "on" => facts["on"].iso8601 } : facts
        end
      rescue ArgumentError
        raise Refusal.of(:no_such_occasion_day, at: "/recurrence")
      end

      def dish(one, at)
        known(one[:dish], at)
        # No portions at all is no amount: the house reckons it.
        servings = one[:servings] unless one[:servings].to_s.to_r.zero?
        { "dish" => one[:dish], "servings" => servings, "ahead" => one[:ahead] == true }
      end

      def idea(one, at)
        known(one[:dish], at) if one[:dish]
        { "text" => one[:text].strip, "dish" => one[:dish] }
      end

      def known(key, at)
        raise Refusal.of(:no_dish_there, at: "#{at}/dish") unless house.recipes.dish(key)
      end
    end
  end
end

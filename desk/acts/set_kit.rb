# frozen_string_literal: true

require_relative "../../core/kits/refresh_day"
require_relative "../act"
require_relative "../refusal"

module NutShelf
  module Desk
    # A kit: for whom, how many days, under what conditions, and when it is refreshed; or one nobody keeps any more. It
    # moves no stock.
    class SetKit < Act
      keeper_only
      DECIMALS = %i[fuel_amount canister].freeze
      FIELDS = %i[
        name school days level activity hot no_power no_water may_leave gear fuel_row fuel_amount canister hot_drinks
        water_basis refresh_days margin_days budget_minor people pets count_disliked given_up box_ml box_tare_g carry_g
        carriers
      ].freeze

      private

      # @param input [Hash] :kit_id (nil: a new one) with :version, any of FIELDS, :gone
      def perform(input)
        facts = facts(input)
        check(facts)
        input[:kit_id] ? change(input, facts) : add(facts)
      end

      def add(facts)
        raise Refusal.of(:kit_without_name, at: "/name") if facts[:name].to_s.empty?
        raise Refusal.of(:kit_without_days, at: "/days") unless facts[:days]

        set = entry("set_kit", "New kit: #{facts[:name]}, #{days_words(facts[:days])}")
        done(set, kit_id: set.make("kit", facts))
      end

      def change(input, facts)
        kit = house.records.lock("kit", input[:kit_id])
        refuse_stale(kit, input[:version], kit.slice(:name, :days).transform_values(&:to_s))
        changes = facts.reject { |name, value| kit.public_send(name) == value }
        return give_up(kit) if input[:gone]
        raise Refusal.of(:says_that_already) if changes.empty?

        set = entry("set_kit", "Changed the kit #{changes[:name] || kit.name}")
        set.alter("kit", kit, changes)
        done(set, kit_id: kit.id)
      end

      # What was set apart for it is everybody's again; what stands in its boxes stays there.
      def give_up(kit)
        held = house.reservations.all(work.today).select { |row| row.kit_id == kit.id }
        set = entry("set_kit", "No more kit #{kit.name}")
        now = Time.now.utc.iso8601
        held.each do |row|
          set.alter("reservation", house.records.lock("reservation", row.id), { archived_at: now })
          set.tell(house.lots.one(row.lot_id), "released", row.slice(:amount, :holder))
        end
        set.alter("kit", kit, { archived_at: now })
        done(set, kit_id: kit.id)
      end

      def facts(input)
        input.slice(*FIELDS).to_h { |name, value| [name, typed(name, value)] }
      end

      def typed(name, value)
        return value&.to_r if DECIMALS.include?(name)

        name == :name ? value.strip : value
      end

      def check(facts)
        raise Refusal.of(:kit_without_name, at: "/name") if facts[:name] && facts[:name].empty?

        refuse_unknown(:people, facts[:people], house.household.people.map(&:id))
        refuse_unknown(:pets, facts[:pets], house.kits.pets.map(&:id))
        facts[:refresh_days]&.each do |text|
          Core::Kits::RefreshDay.on(text, work.today.year)
        rescue Date::Error
          raise Refusal.of(:no_day, at: "/refresh_days", said: text)
        end
      end

      def refuse_unknown(field, ids, known)
        raise Refusal.of(:kit_for_nobody, at: "/#{field}") if field == :people && ids && ids.empty?
        raise Refusal.of(:kit_for_unknown, at: "/#{field}") if ids && (ids - known).any?
      end

      def days_words(days) = days == 1 ? "1 day" : "#{days} days"
    end
  end
end

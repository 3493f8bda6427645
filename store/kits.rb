# frozen_string_literal: true

require_relative "table"

module NutShelf
  module Store
    # Kits, the animals they are for, events that are prepared for, and power cuts.
    class Kits < Table
      # SELECT * FROM kits WHERE household_id = 7 AND archived_at IS NULL ORDER BY name, id
      # @return [Array<Rows::Kit>]
      def all = rows(:kits).where(archived_at: nil).order(:name, :id).all

      # @return [Hash{Integer=>String}] names of all, given up ones too
      def names = rows(:kits).select_map(%i[id name]).to_h

      # @return [Rows::Kit]
      # @raise [Missing]
      def find(id) = found(rows(:kits).where(id: id, archived_at: nil).first, "kit")

      # SELECT * FROM pets WHERE household_id = 7 AND archived_at IS NULL ORDER BY name, id
      # @return [Array<Rows::Pet>]
      def pets = rows(:pets).where(archived_at: nil).order(:name, :id).all

      # SELECT * FROM events WHERE household_id = 7 AND archived_at IS NULL ORDER BY hour, id
      # @return [Array<Rows::Event>]
      def events = rows(:events).where(archived_at: nil).order(:hour, :id).all

      # @return [Rows::Event]
      # @raise [Missing]
      def event(id) = found(rows(:events).where(id: id, archived_at: nil).first, "event")

      # @return [Rows::Outage, nil] the power cut that is not settled yet
      def outage = rows(:outages).where(archived_at: nil, settled_on: nil).order(:started_at, :id).last
    end
  end
end
